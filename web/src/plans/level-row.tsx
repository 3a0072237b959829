import { say } from '@bright-sprout/words/plans';
import type { LevelPart, PlanRequest } from '@bright-sprout/contract/plans';
import {
  ASPECT_FIELDS,
  type Aspect,
  differingAspects,
  DOSE_UNITS,
  LIGHT_PLACES,
  renamedChoices,
} from '@bright-sprout/core/design';
import { LIGHT_WORDS } from '@bright-sprout/core/words';
import { X } from 'lucide-react';
import { useRef } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useFormContext } from 'react-hook-form';
import { TreatmentMark } from '../shared/plants/index.ts';
import { CropSetting } from './crop-setting.tsx';
import { CHOICE, NUMBER } from '../shared/ui/index.ts';
import type { SettingProps } from './level-setting.ts';
import { usePlanEditor } from './plan-editor.tsx';

/** One level: its name, what it sets, and whether it is the control. */
export function LevelRow({
  factor,
  level,
  onChange,
}: {
  factor: number;
  level: number;
  onChange: (levels: LevelPart[]) => void;
}) {
  const { plan, isPlanted, problem, apply } = usePlanEditor();
  const called = useRef('');
  const { register, getValues } = useFormContext<PlanRequest>();
  const whole = plan.factors[factor];
  const own = whole?.levels[level];
  if (!whole || !own) return null;
  const path = `factors.${factor}.levels.${level}` as const;
  const label =
    plan.factors.length > 1
      ? say('levelOfChange', { level: level + 1, factor: factor + 1 })
      : say('level', { level: level + 1 });
  const extra = differingAspects(whole).filter((aspect) => aspect !== whole.aspect);
  const levels = (): LevelPart[] => getValues(`factors.${factor}.levels`);
  const name = register(`${path}.name`);
  // Answers to guess at that name this level follow when it is called otherwise.
  const follow = (next: string): void => {
    const { choices } = getValues('prediction');
    const renamed = renamedChoices(choices, called.current, next);
    if (called.current !== next && renamed.some((choice, at) => choice !== choices[at]))
      apply({ prediction: { ...getValues('prediction'), choices: renamed } });
    called.current = next;
  };
  const nameProblem = problem(`${path}.name`);
  return (
    <li>
      {plan.factors.length === 1 ? <TreatmentMark style={level} size={18} /> : <span className="level-dot" />}
      <Form.Control
        {...name}
        onFocus={({ target }) => {
          called.current = target.value;
        }}
        onBlur={(event) => {
          void name.onBlur(event);
          follow(event.target.value);
        }}
        aria-label={label}
        isInvalid={nameProblem !== undefined}
        autoComplete="off"
      />
      <span className="level-settings">
        {[whole.aspect, ...extra].map((aspect) => (
          <Setting key={aspect} path={path} aspect={aspect} label={label} disabled={isPlanted} />
        ))}
        {whole.aspect === 'sorting' && (
          <span className="number-entry">
            <Form.Control
              {...register(`${path}.sorted`, NUMBER)}
              type="number"
              min={0}
              step={1}
              disabled={isPlanted}
              aria-label={say('seedsSortedOut', { label })}
            />
            <span>{say('found')}</span>
          </span>
        )}
      </span>
      <Form.Check
        type="radio"
        id={`control-${factor}-${level}`}
        name={`control-${factor}`}
        label={say('control')}
        checked={own.isControl}
        disabled={isPlanted}
        onChange={() => onChange(levels().map((one, at) => ({ ...one, isControl: at === level })))}
      />
      {!isPlanted && (
        <Button
          variant="light"
          size="sm"
          aria-label={say('remove', { label: label.toLowerCase() })}
          disabled={whole.levels.length === 2}
          onClick={() => onChange(levels().filter((_, at) => at !== level))}
        >
          <X size={16} aria-hidden="true" />
        </Button>
      )}
      {nameProblem && (
        <span className="field-problem" role="alert">
          {nameProblem}
        </span>
      )}
    </li>
  );
}

/** The entry for what an aspect is set to at a level; nothing for one that is only a name. */
function Setting({
  path,
  aspect,
  label,
  disabled,
}: {
  path: `factors.${number}.levels.${number}`;
  aspect: Aspect;
  label: string;
  disabled: boolean;
}) {
  const { register } = useFormContext<PlanRequest>();
  const field = ASPECT_FIELDS[aspect];
  switch (field) {
    case null:
      return null;
    case 'waterMl':
    case 'temperatureC':
    case 'depthMm':
    case 'plants':
    case 'ageDays': {
      const [unit, words] = UNITS[field];
      return (
        <span className="number-entry">
          <Form.Control
            {...register(`${path}.${field}`, NUMBER)}
            type="number"
            step="any"
            disabled={disabled}
            aria-label={`${label}: ${words}`}
          />
          <span>{unit}</span>
        </span>
      );
    }
    case 'light':
      return (
        <Form.Select
          {...register(`${path}.light`, CHOICE)}
          disabled={disabled}
          aria-label={say('light', { label })}
        >
          <option value="">{say('asTheOthers')}</option>
          {LIGHT_PLACES.map((place) => (
            <option key={place} value={place}>
              {LIGHT_WORDS[place]}
            </option>
          ))}
        </Form.Select>
      );
    case 'cropId':
      return <CropSetting path={path} label={label} disabled={disabled} />;
    case 'isCovered':
      return <CoverSetting path={path} label={label} disabled={disabled} />;
    case 'medium':
      return (
        <Form.Control
          {...register(`${path}.medium`, CHOICE)}
          disabled={disabled}
          placeholder={say('whatItGrowsIn')}
          aria-label={say('whatItGrowsIn2', { label })}
        />
      );
    case 'dose':
      return <DoseSetting path={path} label={label} disabled={disabled} />;
  }
}

const UNITS = {
  waterMl: ['mL', say('waterInMl')],
  temperatureC: ['°C', 'temperature'],
  depthMm: ['mm', say('depthInMm')],
  plants: ['plants', say('plantsInAPot')],
  ageDays: ['days', say('daysOld')],
} as const;

function CoverSetting({ path, label, disabled }: SettingProps) {
  const { setValue, watch } = useFormContext<PlanRequest>();
  const { apply } = usePlanEditor();
  const value = watch(`${path}.isCovered`);
  return (
    <Form.Select
      value={value === null ? '' : String(value)}
      disabled={disabled}
      aria-label={say('cover', { label })}
      onChange={({ target }) => {
        setValue(`${path}.isCovered`, target.value === '' ? null : target.value === 'true');
        apply({});
      }}
    >
      <option value="">{say('asTheOthers')}</option>
      <option value="true">{say('covered')}</option>
      <option value="false">{say('open')}</option>
    </Form.Select>
  );
}

function DoseSetting({ path, label, disabled }: SettingProps) {
  const { setValue, watch } = useFormContext<PlanRequest>();
  const { apply } = usePlanEditor();
  const dose = watch(`${path}.dose`);
  const change = (changes: Partial<NonNullable<typeof dose>>): void => {
    const next = {
      material: dose?.material ?? say('whatIsAdded'),
      amount: dose?.amount ?? 0,
      unit: dose?.unit ?? 'g',
      ...changes,
    };
    setValue(`${path}.dose`, next, { shouldValidate: true });
  };
  return (
    <span className="dose-entry">
      <Form.Control
        type="number"
        step="any"
        min={0}
        value={dose && Number.isFinite(dose.amount) ? dose.amount : ''}
        disabled={disabled}
        aria-label={say('amountAPot', { label })}
        onChange={({ target }) => change({ amount: target.value === '' ? 0 : Number(target.value) })}
        onBlur={() => apply({})}
      />
      <Form.Select
        value={dose?.unit ?? 'g'}
        disabled={disabled}
        aria-label={say('unit', { label })}
        onChange={({ target }) => {
          change({ unit: target.value as (typeof DOSE_UNITS)[number] });
          apply({});
        }}
      >
        {DOSE_UNITS.map((unit) => (
          <option key={unit}>{unit}</option>
        ))}
      </Form.Select>
      <Form.Control
        value={dose?.material ?? ''}
        disabled={disabled}
        placeholder={say('ofWhat')}
        aria-label={say('material', { label })}
        onChange={({ target }) => change({ material: target.value })}
        onBlur={() => apply({})}
      />
    </span>
  );
}
