import { say } from '@bright-sprout/words/plans';
import { isYoungPlant, START_FORMS, type StartForm } from '@bright-sprout/core/design';
import { POSITION_WORDS, SET_IN_WORDS } from '@bright-sprout/core/words';
import Form from 'react-bootstrap/Form';
import { ChoiceInput, NumberInput } from './fields.tsx';
import { usePlanEditor } from './plan-editor.tsx';
import { PlanField } from './plan-field.tsx';

const FORM_WORDS: Record<StartForm, string> = {
  seed: say('seedOrBulb'),
  seedlings: say('seedlingsSownEarlier'),
  paper_pots: say('paperPotsPlantedWhole'),
  bought: say('boughtPlants'),
  divided: say('plantsDivided'),
  cuttings: say('cuttingsSet'),
};

/** What is put into each place, and how it lies. Steps that were not changed follow. */
export function StartFormFields() {
  const { plan, isPlanted, apply } = usePlanEditor();
  const { conditions } = plan;
  const startsAs = conditions.startsAs ?? 'seed';
  const change = (next: StartForm): void => {
    const changed = { ...conditions, startsAs: next };
    apply({
      conditions: changed,
      ...(next === 'seed' ? {} : { seedsPerUnit: plan.plantsPerUnit }),
    });
  };
  return (
    <>
      <PlanField id="conditions.startsAs" label={say('whatGoesIn')} error={undefined} isWide>
        <Form.Select
          value={startsAs}
          disabled={isPlanted}
          onChange={({ target }) => change(target.value as StartForm)}
        >
          {START_FORMS.map((form) => (
            <option key={form} value={form}>
              {FORM_WORDS[form]}
            </option>
          ))}
        </Form.Select>
      </PlanField>
      {startsAs === 'cuttings' && (
        <NumberInput name="conditions.stemMm" label={say('stemInTheSoil')} unit="mm" isOptional />
      )}
      {isYoungPlant(conditions) && (
        <ChoiceInput
          name="conditions.setIn"
          label={say('howDeepItIsSet')}
          options={[['as_it_stood', say('asDeepAsItStood')], ...Object.entries(SET_IN_WORDS)]}
        />
      )}
      {startsAs === 'seed' && (
        <ChoiceInput
          name="conditions.position"
          label={say('howItLies')}
          options={[['any', say('anyWay')], ...Object.entries(POSITION_WORDS)]}
        />
      )}
    </>
  );
}
