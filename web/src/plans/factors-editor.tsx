import { Said } from '../shared/ui/index.ts';
import { say } from '@bright-sprout/words/plans';
import {
  type Aspect,
  ASPECTS,
  combinationKey,
  MOST_LEVELS,
  PLAIN_LEVEL,
  placeCount,
  treatmentsOf,
} from '@bright-sprout/core/design';
import { ASPECT_WORDS } from '@bright-sprout/core/words';
import { Plus, X } from 'lucide-react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useFormContext } from 'react-hook-form';
import type { FactorPart, PlanRequest } from '@bright-sprout/contract/plans';
import { ChoiceInput, TextInput } from './fields.tsx';
import { LevelRow } from './level-row.tsx';
import { usePlanEditor } from './plan-editor.tsx';

const MOST_FACTORS = 3;

/** What is changed on purpose: factors with their levels, and the combinations that are grown. */
export function FactorsEditor() {
  const { plan, isPlanted, apply, problem } = usePlanEditor();
  const pots = treatmentsOf(plan).length * plan.replicates;
  const places = plan.containers.reduce((sum, container) => sum + placeCount(container), 0);
  const add = (): void => {
    const levels = [
      { ...PLAIN_LEVEL, name: say('without'), isControl: true },
      { ...PLAIN_LEVEL, name: say('with') },
    ];
    const name =
      plan.factors.length === 0
        ? say('whatWeChange')
        : say('change', { factorsCount: plan.factors.length + 1 });
    apply({ factors: [...plan.factors, { name, aspect: 'other', levels }], leftOut: [] });
  };
  return (
    <fieldset className="factors">
      <legend>{say('whatWeChange')}</legend>
      {plan.factors.length === 0 && <p className="quiet">{say('nothingAllPotsAreAlikeAndWhat')}</p>}
      {plan.factors.map((_, index) => (
        <FactorEditor key={index} index={index} />
      ))}
      <div className="level-actions">
        {plan.factors.length < MOST_FACTORS && !isPlanted && (
          <Button variant="light" size="sm" onClick={add}>
            <Plus size={16} aria-hidden="true" /> {say('anotherChange')}
          </Button>
        )}
        <p className="plan-sum" aria-live="polite">
          {Number.isFinite(pots * places) && (
            <>
              <Said by={say} code="potsInPlaces" values={{ pots, places }} />
            </>
          )}
        </p>
      </div>
      {plan.factors.length > 1 && <Combinations />}
      {[problem('factors'), problem('replicates'), problem('leftOut')].map(
        (words) =>
          words && (
            <p key={words} className="field-problem" role="alert">
              {words}
            </p>
          ),
      )}
    </fieldset>
  );
}

function FactorEditor({ index }: { index: number }) {
  const { plan, isPlanted, apply, problem } = usePlanEditor();
  const { getValues } = useFormContext<PlanRequest>();
  const factor = plan.factors[index] as FactorPart | undefined;
  if (!factor) return null;
  const change = (changed: Partial<FactorPart>): void => {
    const factors = getValues('factors').map((one, at) => (at === index ? { ...one, ...changed } : one));
    apply({
      factors,
      ...(changed.levels && changed.levels.length !== factor.levels.length ? { leftOut: [] } : {}),
    });
  };
  const remove = (): void =>
    apply({ factors: getValues('factors').filter((_, at) => at !== index), leftOut: [] });
  return (
    <div className="factor">
      <div className="form-row">
        <TextInput
          name={`factors.${index}.name`}
          label={plan.factors.length > 1 ? say('change2', { index: index + 1 }) : say('called')}
        />
        <ChoiceInput
          name={`factors.${index}.aspect`}
          label={say('itIsAbout')}
          disabled={isPlanted}
          options={ASPECTS.map((aspect: Aspect) => [aspect, ASPECT_WORDS[aspect]] as const)}
        />
        {!isPlanted && (
          <Button
            variant="light"
            size="sm"
            className="remove-factor"
            aria-label={say('takeAway2', { factor: factor.name })}
            onClick={remove}
          >
            <X size={16} aria-hidden="true" />
          </Button>
        )}
      </div>
      <ol className="levels">
        {factor.levels.map((_, at) => (
          <LevelRow key={at} factor={index} level={at} onChange={(levels) => change({ levels })} />
        ))}
      </ol>
      {!isPlanted && (
        <div className="level-actions">
          <Button
            variant="light"
            size="sm"
            disabled={factor.levels.length >= MOST_LEVELS}
            onClick={() =>
              change({
                levels: [
                  ...getValues(`factors.${index}.levels`),
                  {
                    ...(getValues(`factors.${index}.levels`).at(-1) ?? PLAIN_LEVEL),
                    name: say('level2', { levelsCount: factor.levels.length + 1 }),
                    isControl: false,
                    sorted: null,
                  },
                ],
              })
            }
          >
            <Plus size={16} aria-hidden="true" /> {say('anotherLevel')}
          </Button>
          {factor.levels.some((level) => level.isControl) && (
            <Button
              variant="light"
              size="sm"
              onClick={() =>
                change({
                  levels: getValues(`factors.${index}.levels`).map((level) => ({
                    ...level,
                    isControl: false,
                  })),
                })
              }
            >
              {say('noControl')}
            </Button>
          )}
        </div>
      )}
      {problem(`factors.${index}.levels`) && (
        <p className="field-problem" role="alert">
          {problem(`factors.${index}.levels`)}
        </p>
      )}
    </div>
  );
}

/** Which combinations of a crossed design are grown. */
function Combinations() {
  const { plan, isPlanted, apply } = usePlanEditor();
  const all = treatmentsOf({ ...plan, leftOut: [] });
  const toggle = (key: string): void => {
    const isOut = plan.leftOut.includes(key);
    apply({ leftOut: isOut ? plan.leftOut.filter((one) => one !== key) : [...plan.leftOut, key] });
  };
  return (
    <div className="combinations" role="group" aria-label={say('combinationsThatAreGrown')}>
      {all.map(({ name, levels }) => {
        const key = combinationKey(levels);
        return (
          <Form.Check
            key={key}
            id={`combination-${key}`}
            type="checkbox"
            label={name}
            checked={!plan.leftOut.includes(key)}
            disabled={isPlanted}
            onChange={() => toggle(key)}
          />
        );
      })}
    </div>
  );
}
