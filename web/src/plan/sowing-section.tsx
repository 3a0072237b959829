import { depthChoices, seedsNeeded, sowingWith, sparesNeeded } from '@bright-sprout/core/amounts';
import { type DepthRule, seedFacts, treatmentsOf } from '@bright-sprout/core/design';
import {
  chanceText,
  DEPTH_REASON_WORDS,
  DEPTH_WORDS,
  depthText,
  LIGHT_WORDS,
  undefinedWords,
} from '@bright-sprout/core/words';
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
  const { plan, isPlanted, apply } = usePlanEditor();
  const surroundings = useSurroundings();
  const crop = surroundings?.crops.find((one) => one.id === plan.cropId);
  const lot = surroundings?.lots.find((one) => one.id === plan.lotId && one.cropId === plan.cropId);
  const rate = crop && seedFacts(crop, lot, plan.sowOn).rate;
  const isWhole = [plan.plantsPerUnit, plan.replicates, plan.seedsPerUnit].every(
    (count) => count >= 1 && count <= 200,
  );
  if (!rate || !isWhole) {
    return (
      <p className="quiet">
        There is no germination rate for this crop: give the packet’s in the seed drawer.
      </p>
    );
  }
  const germination = rate.share;
  const units = treatmentsOf(plan).length * plan.replicates;
  const wish = { plants: plan.plantsPerUnit, units, chance: plan.chance, germination };
  const needed = seedsNeeded(wish);
  const chosen = sowingWith(plan.seedsPerUnit, wish);
  const three = sowingWith(3 * plan.plantsPerUnit, wish);
  const spares = sparesNeeded(wish, plan.plantsPerUnit);
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
            Each seed comes up with a chance of {Math.round(germination * 1000) / 10} %. With m seeds a pot,
            the chance of at least {plan.plantsPerUnit} up is that of a binomial draw; for all {units} pots it
            is that to the power of {units}. The fewest seeds for which it reaches{' '}
            {Math.round(wish.chance * 100)} % is the answer.
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
                  <td>{needed.value.seedsPerUnit * units}</td>
                  <td>{chanceText(needed.value.chance)}</td>
                  <td>about {Math.round(needed.value.thinned)}</td>
                </tr>
              )}
              <tr>
                <td>three for one, as many do</td>
                <td>{three.seedsPerUnit * units}</td>
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
