import {
  depthChoices,
  seedsNeeded,
  type SowingWish,
  sowingWith,
  sparesNeeded,
} from '@bright-sprout/core/amounts';
import { type DepthRule, POT_CORRELATION, seedFacts } from '@bright-sprout/core/design';
import { sowingWish, treatmentGrowth } from '@bright-sprout/core/calendar';
import {
  chanceText,
  DEPTH_REASON_WORDS,
  DEPTH_WORDS,
  depthText,
  LIGHT_WORDS,
  undefinedWords,
} from '@bright-sprout/core/words';
import { useMemo } from 'react';
import Button from 'react-bootstrap/Button';
import { useSurroundings } from '../shared/experiment/index.ts';
import { ChoiceInput, NumberInput, TextInput, TickInput, WorkedOut } from './fields.tsx';
import { usePlanEditor } from './plan-editor.tsx';

/** How many seeds, how deep, and what is the same for every pot. */
export function SowingSection() {
  const { isPlanted } = usePlanEditor();
  return (
    <>
      <h2>Seeds</h2>
      <div className="form-row">
        <NumberInput name="seedsPerUnit" label="Seeds in each pot" step={1} disabled={isPlanted} />
        <NumberInput name="plantsPerUnit" label="Plants wanted" step={1} disabled={isPlanted} />
        <ChoiceInput
          name="chance"
          isNumber
          label="Chance that all get there"
          options={[
            ['0.8', '8 in 10'],
            ['0.9', '9 in 10'],
            ['0.95', '95 in 100'],
            ['0.99', '99 in 100'],
          ]}
        />
        <NumberInput name="seedsPerPacket" label="Seeds in a packet" step={1} />
      </div>
      <SeedAnswer />
      <h2>Depth</h2>
      <DepthTable />
      <h2>The same for every pot</h2>
      <div className="form-row">
        <NumberInput name="conditions.temperatureC" label="Room by day" unit="°C" />
        <ChoiceInput name="conditions.light" label="Stands in" options={Object.entries(LIGHT_WORDS)} />
        <NumberInput name="conditions.lightHours" label="Light a day" unit="h" />
        <NumberInput name="conditions.waterMl" label="Water a pot" unit="mL" />
      </div>
      <div className="form-row">
        <TextInput name="conditions.medium" label="Grows in" isWide />
        <ChoiceInput
          name="conditions.fill"
          label="Filling"
          options={[
            ['fill_then_poke', 'fill, then poke holes'],
            ['half_fill_then_cover', 'half fill, then cover'],
          ]}
        />
        <ChoiceInput
          name="conditions.cover"
          label="Film or lid"
          options={[
            ['until_up', 'until something is up'],
            ['none', 'none'],
          ]}
        />
      </div>
      <div className="form-row">
        <NumberInput name="conditions.soakHours" label="Soak seeds" unit="h" />
        <NumberInput name="conditions.coldDays" label="Cold before" unit="days" step={1} />
        <NumberInput name="conditions.reactionDays" label="Mix reacts" unit="days" step={1} />
        <div className="plan-field">
          <TickInput name="conditions.hasSoil" label="Filled with mix" />
          <TickInput name="conditions.isFirmed" label="Soil firmed" />
        </div>
      </div>
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
    (count) => count >= 1 && count <= 200,
  );
  if (!wish?.defined || !isWhole) {
    return (
      <p className="quiet">
        There is no germination rate for this crop: give the packet’s in the seed drawer.
      </p>
    );
  }
  return <SeedWays wish={wish.value} />;
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
  const seeds = (count: number): string => (count === 1 ? '1 seed' : `${count} seeds`);
  return (
    <WorkedOut
      title={
        <>
          With {seeds(plan.seedsPerUnit)} a pot, all {units} pots reach their number with a chance of{' '}
          <b>{chanceText(chosen.chance)}</b>.
        </>
      }
      working={
        <>
          <p>
            {rateText(wish)} Seeds of one pot share some of their fate, as when it dries out, so the chance of
            at least {plan.plantsPerUnit} up of m seeds is a little lower than if each had its own luck
            (correlation {POT_CORRELATION}). The fewest seeds with which all {units} pots reach it in{' '}
            {Math.round(wish.chance * 100)} of 100 such classes is the answer.
          </p>
          <table className="table table-sm">
            <thead>
              <tr>
                <th>Way</th>
                <th>Seeds in all</th>
                <th>All pots reach it</th>
                <th>To thin</th>
              </tr>
            </thead>
            <tbody>
              {needed.defined && (
                <tr>
                  <td>{seeds(needed.value.seedsPerUnit)} a pot, enough</td>
                  <td>{needed.value.seeds}</td>
                  <td>{chanceText(needed.value.chance)}</td>
                  <td>about {Math.round(needed.value.thinned)}</td>
                </tr>
              )}
              <tr>
                <td>three for one, as many do</td>
                <td>{three.seeds}</td>
                <td>{chanceText(three.chance)}</td>
                <td>about {Math.round(three.thinned)}</td>
              </tr>
              {spares.defined && (
                <tr>
                  <td>
                    no more seeds, {spares.value.spares} spare {spares.value.spares === 1 ? 'pot' : 'pots'}
                  </td>
                  <td>{(units + spares.value.spares) * plan.plantsPerUnit}</td>
                  <td>{chanceText(spares.value.chance)}</td>
                  <td>none</td>
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
            For the chance you want: <b>{seeds(needed.value.seedsPerUnit)} a pot</b>, about{' '}
            {Math.round(needed.value.thinned)} seedlings to thin.{' '}
            {!isPlanted && (
              <Button
                variant="light"
                size="sm"
                onClick={() => apply({ seedsPerUnit: needed.value.seedsPerUnit })}
              >
                Use it
              </Button>
            )}
          </p>
        )
      ) : (
        <p className="note-attention">There is no answer, as {undefinedWords(needed.reason)}.</p>
      )}
    </WorkedOut>
  );
}

/** The rate of each crop, and what it rests on. */
function rateText({ groups }: SowingWish): string {
  const rates = new Map(groups.map(({ crop, rate }) => [crop, rate]));
  return [...rates.values()]
    .map(({ share, seeds }) => {
      const said = `Each seed comes up with a chance of ${Math.round(share * 1000) / 10} %`;
      return seeds === null
        ? `${said}.`
        : `${said}, as far as a test worth ${Math.round(seeds)} seeds can tell; what it leaves open is counted in.`;
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
      <div className="depths" role="radiogroup" aria-label="Depth by which rule">
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
            <b>{depthMm.defined ? depthText(depthMm.value) : 'no figure'}</b>
          </label>
        ))}
      </div>
      <p className="quiet">
        Default: {DEPTH_WORDS[standard].toLowerCase()}, because {DEPTH_REASON_WORDS[reason]}. A figure that is
        missing falls back to the default.
      </p>
    </>
  );
}
