import { say } from '@bright-sprout/words/plans';
import { MEASURING_SCALES } from '@bright-sprout/contract/plans';
import { ALSO_READ_WORDS, cautionText, RATE_WORDS } from '@bright-sprout/core/words';
import {
  ALSO_READ,
  type AlsoRead,
  cropChoices,
  type PlanMeasure,
  seedFacts,
} from '@bright-sprout/core/design';
import Form from 'react-bootstrap/Form';
import { Link } from 'react-router';
import { useInventory, useSurroundings } from '../shared/experiment/index.ts';
import { FactorsEditor } from './factors-editor.tsx';
import { ChoiceInput, NumberInput, TextInput } from './fields.tsx';
import { KindChoice } from './kind-choice.tsx';
import { usePlanEditor } from './plan-editor.tsx';
import { PlanField } from './plan-field.tsx';
import { PredictionEditor } from './prediction-editor.tsx';

const MEASURES: readonly (PlanMeasure & { name: string })[] = [
  ...MEASURING_SCALES.map(({ unit, step, name }) => ({
    variable: 'height' as const,
    unit,
    step,
    name: say('heightIn', { name }),
  })),
  { variable: 'seeds up', unit: 'seeds', step: 1, name: say('howManyAreUp') },
  { variable: 'leaves', unit: 'leaves', step: 1, name: say('leavesCounted') },
  { variable: 'green cover', unit: '%', step: 1, name: say('greenCoverIn') },
];

/** The question, what is sown, what is changed and what is read. */
export function QuestionSection() {
  const { plan, isPlanted } = usePlanEditor();
  return (
    <>
      <TextInput name="question" label={say('question')} className="question-input" />
      <div className="form-row">
        <KindChoice />
        <CropChoice />
        <LotChoice />
      </div>
      <SeedNote />
      <FactorsEditor />
      <div className="form-row">
        <MeasureChoice />
        <AlsoReadChoice />
        {plan.measure.variable === 'height' && (
          <ChoiceInput
            name="plantRule"
            label={say('ofEachPotRead')}
            disabled={isPlanted}
            options={[
              ['tallest', say('theTallestPlant')],
              ['tagged', say('oneMarkedPlant')],
              ['mean', say('everyPlantTheirMean')],
            ]}
          />
        )}
        {plan.kind === 'challenge' && (
          <NumberInput name="referenceMm" label={say('theMarkToPass')} unit="mm" isOptional />
        )}
      </div>
      <TextInput name="hypothesis" label={say('whatWeExpectAndWhy')} />
      <PredictionEditor />
    </>
  );
}

function CropChoice() {
  const { isPlanted } = usePlanEditor();
  const crops = useSurroundings()?.crops ?? [];
  return <ChoiceInput name="cropId" label={say('crop')} disabled={isPlanted} options={cropChoices(crops)} />;
}

function LotChoice() {
  const { plan, apply } = usePlanEditor();
  const lots = useInventory().seedLots?.filter((lot) => lot.cropId === plan.cropId) ?? [];
  const choose = (id: string): void => {
    const lot = lots.find((one) => one.id === id);
    apply({ lotId: lot?.id ?? null, seedsPerPacket: lot?.seedsPerPacket ?? plan.seedsPerPacket });
  };
  return (
    <PlanField id="lotId" label={say('packet')} error={undefined}>
      <Form.Select value={plan.lotId ?? ''} onChange={({ target }) => choose(target.value)}>
        <option value="">{lots.length === 0 ? say('noneInTheDrawer') : say('noPacketChosen')}</option>
        {lots.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </Form.Select>
    </PlanField>
  );
}

/** What is to be expected of the seed in hand, and where that comes from. */
function SeedNote() {
  const { plan } = usePlanEditor();
  const surroundings = useSurroundings();
  const crop = surroundings?.crops.find((one) => one.id === plan.cropId);
  if (!crop || !surroundings) return null;
  const lot = surroundings.lots.find((one) => one.id === plan.lotId && one.cropId === crop.id);
  const facts = seedFacts(crop, lot, plan.sowOn);
  const days = facts.daysToEmergence;
  return (
    <p className="crop-facts">
      <i>{crop.scientificName}</i>{' '}
      {facts.rate &&
        say('of100ComeUp', {
          share: Math.round(facts.rate.share * 100),
          rateWords: RATE_WORDS[facts.rate.source],
        })}
      {days && say('upInDays', { min: days.min, max: days.max })}
      {crop.measuredSpread &&
        say('yourOwnPotsDifferedBy', {
          pots: crop.measuredSpread.pots,
          cv: Math.round(crop.measuredSpread.cv * 100),
        })}
      {crop.caution && <b className="caution">{cautionText(crop.caution)}</b>}{' '}
      <Link to="/inventory">{say('seedDrawer')}</Link>
    </p>
  );
}

/** What is read beside the plan's measure; it may be added while the plants grow. */
function AlsoReadChoice() {
  const { plan, apply, problem } = usePlanEditor();
  const toggle = (name: AlsoRead): void =>
    apply({
      alsoRead: plan.alsoRead.includes(name)
        ? plan.alsoRead.filter((one) => one !== name)
        : [...plan.alsoRead, name],
    });
  return (
    <fieldset className="also-read">
      <legend>{say('andAlso')}</legend>
      {ALSO_READ.filter((name) => name !== plan.measure.variable).map((name) => (
        <Form.Check
          key={name}
          inline
          type="checkbox"
          id={`also-${name}`}
          label={ALSO_READ_WORDS[name]}
          checked={plan.alsoRead.includes(name)}
          onChange={() => toggle(name)}
        />
      ))}
      {problem('alsoRead') && <p className="field-problem">{problem('alsoRead')}</p>}
    </fieldset>
  );
}

function MeasureChoice() {
  const { plan, isPlanted, apply } = usePlanEditor();
  const at = MEASURES.findIndex(
    ({ variable, unit, step }) =>
      variable === plan.measure.variable && unit === plan.measure.unit && step === plan.measure.step,
  );
  return (
    <PlanField id="measure" label={say('weRead')} error={undefined}>
      <Form.Select
        id="measure"
        value={at}
        disabled={isPlanted}
        onChange={(event) => {
          const chosen = MEASURES[Number(event.target.value)];
          if (!chosen) return;
          const { variable, unit, step } = chosen;
          apply({ measure: { variable, unit, step } });
        }}
      >
        {MEASURES.map(({ name }, index) => (
          <option key={name} value={index}>
            {name}
          </option>
        ))}
      </Form.Select>
    </PlanField>
  );
}
