import { say } from '@bright-sprout/words/plans';
import type { PlanRequest } from '@bright-sprout/contract/plans';
import { cropChoices, MOST_LEVELS, type Plan, renamedChoices } from '@bright-sprout/core/design';
import Form from 'react-bootstrap/Form';
import { useFormContext } from 'react-hook-form';
import { useSurroundings } from '../shared/experiment/index.ts';
import { CHOICE, NUMBER, ChoiceOptions } from '../shared/ui/index.ts';
import type { SettingProps } from './level-setting.ts';
import { usePlanEditor } from './plan-editor.tsx';

/** What levels are called before anybody names them. */
const NUMBERED = Array.from({ length: MOST_LEVELS }, (_, at) => say('level2', { levelsCount: at + 1 }));

/** A level's own crop, with the packet it comes from and its own number of seeds. */
export function CropSetting({ path, label, disabled }: SettingProps) {
  const { register, getValues, setValue, watch } = useFormContext<PlanRequest>();
  const { plan, apply } = usePlanEditor();
  const { crops = [], lots = [] } = useSurroundings() ?? {};
  const ownCropId = watch(`${path}.cropId`);
  const cropId = ownCropId ?? plan.cropId;
  const packets = lots.filter((lot) => lot.cropId === cropId);
  const crop = register(`${path}.cropId`, CHOICE);
  const nameOf = (id: string): string => crops.find((one) => one.id === id)?.commonName ?? '';
  // A level that is called by its crop, or not yet called anything, is called by the next one; a name that somebody typed stays.
  const follow = (before: string, after: string): Partial<Plan> => {
    const called = getValues(`${path}.name`);
    const isByCrop = before !== '' && called.trim().toLowerCase() === before.toLowerCase();
    if (after === '' || !(isByCrop || NUMBERED.includes(called))) return {};
    setValue(`${path}.name`, after);
    const prediction = getValues('prediction');
    return { prediction: { ...prediction, choices: renamedChoices(prediction.choices, called, after) } };
  };
  return (
    <>
      <Form.Select
        {...crop}
        disabled={disabled}
        aria-label={say('crop2', { label })}
        onChange={(event) => {
          setValue(`${path}.lotId`, null);
          const changes = follow(nameOf(cropId), nameOf(event.target.value || plan.cropId));
          void crop.onChange(event).then(() => apply(changes));
        }}
      >
        <option value="">{say('thePlansCrop')}</option>
        <ChoiceOptions options={cropChoices(crops)} chosen={ownCropId ?? ''} />
      </Form.Select>
      <span className="number-entry">
        <Form.Control
          {...register(`${path}.seeds`, NUMBER)}
          type="number"
          min={1}
          step={1}
          disabled={disabled}
          placeholder={String(plan.seedsPerUnit)}
          aria-label={say('seedsOfLevel', { label })}
        />
        <span>{say('seedsAPot')}</span>
      </span>
      {packets.length > 0 && (
        <Form.Select
          {...register(`${path}.lotId`, CHOICE)}
          disabled={disabled}
          aria-label={say('packetOfLevel', { label })}
        >
          <option value="">{say('anyPacket')}</option>
          {packets.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </Form.Select>
      )}
    </>
  );
}
