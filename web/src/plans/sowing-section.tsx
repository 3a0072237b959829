import { Said } from '../shared/ui/index.ts';
import { say } from '@bright-sprout/words/plans';
import { seedsNeeded, type SowingWish, sowingWith, sparesNeeded } from '@bright-sprout/core/amounts';
import {
  type DepthRule,
  isBegun,
  isSetSingly,
  POT_CORRELATION,
  seedFacts,
  depthChoices,
} from '@bright-sprout/core/design';
import { sowingWish, treatmentGrowth } from '@bright-sprout/core/calendar';
import {
  chanceText,
  DEPTH_REASON_WORDS,
  DEPTH_WORDS,
  depthText,
  LIGHT_WORDS,
  propaguleWord,
  undefinedWords,
} from '@bright-sprout/core/words';
import { useMemo } from 'react';
import Button from 'react-bootstrap/Button';
import { useSurroundings } from '../shared/experiment/index.ts';
import { ChoiceInput, NumberInput, TextInput, TickInput, WorkedOut } from './fields.tsx';
import { usePlanEditor } from './plan-editor.tsx';
import { StartFormFields } from './start-form.tsx';
import { MANY_SEEDS, WeighSeeds } from './weigh-seeds.tsx';

const MOST_SEEDS_ASKED = 1000;

/** How many seeds, how deep, and what is the same for every pot. */
export function SowingSection() {
  const { plan, isPlanted } = usePlanEditor();
  const begun = isBegun(plan);
  return (
    <>
      <h2>{begun ? say('plants') : say('seeds')}</h2>
      <div className="form-row">
        <StartFormFields />
        <NumberInput
          name="seedsPerUnit"
          label={begun ? say('inEachPot') : say('seedsInEachPot')}
          step={1}
          disabled={isPlanted}
        />
        <NumberInput name="plantsPerUnit" label={say('plantsWanted')} step={1} disabled={isPlanted} />
        {!begun && <SeedChances />}
      </div>
      {!begun && plan.seedsPerUnit >= MANY_SEEDS && <WeighSeeds />}
      {begun ? <p className="quiet">{say('whatBeganElsewhere')}</p> : <SeedAnswer />}
      {!begun && (
        <>
          <h2>{say('depth')}</h2>
          <DepthTable />
        </>
      )}
      <h2>{say('theSameForEveryPot')}</h2>
      <div className="form-row">
        <NumberInput name="conditions.temperatureC" label={say('roomByDay')} unit="°C" />
        <ChoiceInput name="conditions.light" label={say('standsIn')} options={Object.entries(LIGHT_WORDS)} />
        <NumberInput name="conditions.lightHours" label={say('lightADay')} unit="h" />
        <NumberInput name="conditions.waterMl" label={say('waterAPot')} unit="mL" />
      </div>
      <div className="form-row">
        <TextInput name="conditions.medium" label={say('growsIn')} isWide />
        <ChoiceInput
          name="conditions.fill"
          label={say('filling')}
          options={[
            ['fill_then_poke', say('fillThenPokeHoles')],
            ['half_fill_then_cover', say('halfFillThenCover')],
          ]}
        />
        <ChoiceInput
          name="conditions.cover"
          label={say('filmOrLid')}
          options={[
            ['until_up', say('untilSomethingIsUp')],
            ['none', 'none'],
          ]}
        />
      </div>
      <div className="form-row">
        {!begun && <NumberInput name="conditions.soakHours" label={say('soakSeeds')} unit="h" />}
        <NumberInput name="conditions.coldDays" label={say('coldBefore')} unit={say('days2')} step={1} />
        <NumberInput name="conditions.reactionDays" label={say('mixReacts')} unit={say('days2')} step={1} />
        {plan.conditions.hasSoil && (
          <NumberInput
            name="conditions.wetting"
            label={say('waterToWetOnePart')}
            unit={say('parts')}
            isOptional
          />
        )}
        <TextInput name="conditions.protection" label={say('protectedBy')} />
        <div className="plan-field">
          <TickInput name="conditions.hasSoil" label={say('filledWithMix')} />
          <TickInput name="conditions.isFirmed" label={say('soilFirmed')} />
        </div>
      </div>
    </>
  );
}

function SeedChances() {
  return (
    <>
      <ChoiceInput
        name="chance"
        isNumber
        label={say('chanceThatAllGetThere')}
        options={[
          ['0.8', say('n8In10')],
          ['0.9', say('n9In10')],
          ['0.95', say('n95In100')],
          ['0.99', say('n99In100')],
        ]}
      />
      <NumberInput name="seedsPerPacket" label={say('seedsInAPacket')} step={1} />
    </>
  );
}

function SeedAnswer() {
  const { plan } = usePlanEditor();
  const surroundings = useSurroundings();
  const wish = useMemo(
    () => (surroundings ? sowingWish(plan, treatmentGrowth(plan, surroundings)) : undefined),
    [plan, surroundings],
  );
  const isWhole = [plan.plantsPerUnit, plan.replicates, plan.seedsPerUnit].every(
    (count) => count >= 1 && count <= MOST_SEEDS_ASKED,
  );
  if (!wish?.defined || !isWhole) {
    return <p className="quiet">{say('thereIsNoGerminationRateForThis')}</p>;
  }
  const crop = surroundings?.crops.find(({ id }) => id === plan.cropId);
  return isSetSingly(plan, crop) ? (
    <SparePots wish={wish.value} propagule={propaguleWord(plan.conditions.startsAs ?? 'seed', crop)} />
  ) : (
    <SeedWays wish={wish.value} />
  );
}

/** Tubers, cloves and corms are set in one by one; what fails is made up for by spare pots. */
function SparePots({ wish, propagule }: { wish: SowingWish; propagule: string }) {
  const { plan, isPlanted, apply } = usePlanEditor();
  const spares = useMemo(() => sparesNeeded(wish), [wish]);
  if (plan.seedsPerUnit > plan.plantsPerUnit) {
    return (
      <p className="note-attention">
        {say('setInSingly', { propagule, plants: plan.plantsPerUnit, seeds: plan.seedsPerUnit })}{' '}
        {!isPlanted && (
          <Button variant="light" size="sm" onClick={() => apply({ seedsPerUnit: plan.plantsPerUnit })}>
            {say('useIt')}
          </Button>
        )}
      </p>
    );
  }
  if (!spares.defined) return null;
  return (
    <p className="quiet">
      {say('sparePotsFor', {
        propagule,
        spares: spares.value.spares,
        chanceText: chanceText(spares.value.chance),
      })}
    </p>
  );
}

/** How many seeds give what is wanted, beside other ways. */
function SeedWays({ wish }: { wish: SowingWish }) {
  const { plan, isPlanted, apply } = usePlanEditor();
  const units = wish.groups.reduce((sum, group) => sum + group.units, 0);
  const { needed, chosen, three, spares } = useMemo(
    () => ({
      needed: seedsNeeded(wish),
      chosen: sowingWith(plan.seedsPerUnit, wish),
      three: sowingWith(3 * plan.plantsPerUnit, wish),
      spares: sparesNeeded(wish),
    }),
    [wish, plan.seedsPerUnit, plan.plantsPerUnit],
  );
  const seeds = (count: number): string => (count === 1 ? say('n1Seed') : say('seeds2', { count }));
  return (
    <WorkedOut
      title={
        <>
          <Said
            by={say}
            code="withAPotAllPotsReachTheir"
            values={{
              seeds: seeds(plan.seedsPerUnit),
              units,
              chanceText: chanceText(chosen.chance),
            }}
          />
        </>
      }
      working={
        <>
          <p>
            {say('seedsOfOnePotShareSomeOf', {
              rateText: rateText(wish),
              plantsPerUnit: plan.plantsPerUnit,
              potCorrelation: POT_CORRELATION,
              units,
              chance: Math.round(wish.chance * 100),
            })}
          </p>
          <table className="table table-sm">
            <thead>
              <tr>
                <th>{say('way')}</th>
                <th>{say('seedsInAll')}</th>
                <th>{say('allPotsReachIt')}</th>
                <th>{say('toThin')}</th>
              </tr>
            </thead>
            <tbody>
              {needed.defined && (
                <tr>
                  <td>{say('aPotEnough', { seeds: seeds(needed.value.seedsPerUnit) })}</td>
                  <td>{needed.value.seeds}</td>
                  <td>{chanceText(needed.value.chance)}</td>
                  <td>{say('about', { thinned: Math.round(needed.value.thinned) })}</td>
                </tr>
              )}
              <tr>
                <td>{say('threeForOneAsManyDo')}</td>
                <td>{three.seeds}</td>
                <td>{chanceText(three.chance)}</td>
                <td>{say('about', { thinned: Math.round(three.thinned) })}</td>
              </tr>
              {spares.defined && (
                <tr>
                  <td>{say('noMoreSeedsSparePots', { spares: spares.value.spares })}</td>
                  <td>{(units + spares.value.spares) * plan.plantsPerUnit}</td>
                  <td>{chanceText(spares.value.chance)}</td>
                  <td>{say('none')}</td>
                </tr>
              )}
            </tbody>
          </table>
        </>
      }
    >
      {needed.defined ? (
        needed.value.seedsPerUnit !== plan.seedsPerUnit && (
          <p>
            <Said
              by={say}
              code="forTheChanceYouWantAPot"
              values={{
                seeds: seeds(needed.value.seedsPerUnit),
                thinned: Math.round(needed.value.thinned),
              }}
            />{' '}
            {!isPlanted && (
              <Button
                variant="light"
                size="sm"
                onClick={() => apply({ seedsPerUnit: needed.value.seedsPerUnit })}
              >
                {say('useIt')}
              </Button>
            )}
          </p>
        )
      ) : (
        <p className="note-attention">
          {say('thereIsNoAnswerAs', { undefinedWords: undefinedWords(needed.reason) })}
        </p>
      )}
    </WorkedOut>
  );
}

/** The rate of each crop, and what it rests on. */
function rateText({ groups }: SowingWish): string {
  const rates = new Map(groups.map(({ crop, rate }) => [crop, rate]));
  return [...rates.values()]
    .map(({ share, seeds }) => {
      const said = say('eachSeedComesUpWithAChance', { share: Math.round(share * 1000) / 10 });
      return seeds === null ? `${said}.` : say('asFarAsATestWorthSeeds', { said, seeds: Math.round(seeds) });
    })
    .join(' ');
}

function DepthTable() {
  const { plan, apply } = usePlanEditor();
  const surroundings = useSurroundings();
  const crop = surroundings?.crops.find((one) => one.id === plan.cropId);
  if (!crop) return null;
  const lot = surroundings?.lots.find((one) => one.id === plan.lotId && one.cropId === crop.id);
  const { depths, standard, reason } = depthChoices(crop, seedFacts(crop, lot, plan.sowOn));
  const choose = (depthRule: DepthRule): void => apply({ conditions: { ...plan.conditions, depthRule } });
  return (
    <>
      <div className="depths" role="radiogroup" aria-label={say('depthByWhichRule')}>
        {depths.map(({ rule, depthMm }) => (
          <label key={rule} className={plan.conditions.depthRule === rule ? 'is-chosen' : ''}>
            <input
              type="radio"
              name="depth-rule"
              checked={plan.conditions.depthRule === rule}
              disabled={!depthMm.defined}
              onChange={() => choose(rule)}
            />
            <span>{DEPTH_WORDS[rule]}</span>
            <b>{depthMm.defined ? depthText(depthMm.value) : say('noFigure')}</b>
          </label>
        ))}
      </div>
      <p className="quiet">
        {say('defaultBecauseAFigureThatIsMissing', {
          depthWords: DEPTH_WORDS[standard].toLowerCase(),
          depthReasonWords: DEPTH_REASON_WORDS[reason],
        })}
      </p>
    </>
  );
}
