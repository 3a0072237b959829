import { say } from '@bright-sprout/words/inventory';
import { CropRequest, type CropView, inventoryRoutes } from '@bright-sprout/contract/inventory';
import { CROP_HABITS } from '@bright-sprout/core/design';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { type FieldPath, FormProvider, useForm } from 'react-hook-form';
import { v7 as uuid } from 'uuid';
import { ApiFailure, call, cropsQuery } from '../shared/api/index.ts';
import { FailureNote } from '../shared/ui/index.ts';
import { Entry } from './inputs.tsx';
import { resolveRequest } from './resolve-request.ts';

interface CropValues extends Omit<CropRequest, 'daysToEmergence'> {
  daysToEmergence: { min: number | null; max: number | null };
}

const EMPTY: Omit<CropRequest, 'daysToEmergence'> = {
  commonName: '',
  scientificName: '',
  propagule: 'seed',
  emergence: null,
  seedLengthMm: null,
  seedThicknessMm: null,
  sowingDepthMm: null,
  lightToGerminate: 'either',
  daysToRadicle: null,
  daysToHarvestOrFlower: null,
  temperatureC: { min: 8, best: 22, max: 32 },
  germinationPercent: null,
  spacingMm: null,
  matureHeightMm: null,
  heightAtDay21Mm: null,
  habit: 'upright',
  caution: '',
};

/** A crop of one's own: what is not known stays empty, and plans say so. */
export function CropForm({
  crop,
  onDone,
}: {
  crop: CropView | undefined;
  onDone: (id: string | undefined) => void;
}) {
  const queries = useQueryClient();
  const newId = useRef(crop?.id ?? uuid());
  const form = useForm<CropValues>({
    resolver: resolveRequest(CropRequest, request),
    defaultValues: {
      ...EMPTY,
      ...withoutId(crop),
      daysToEmergence: crop?.daysToEmergence ?? { min: null, max: null },
    },
  });
  const save = useMutation({
    mutationFn: (values: CropValues) =>
      call(inventoryRoutes.saveCrop, { params: { newCropId: newId.current }, body: request(values) }),
    onSuccess: async ({ id }) => {
      await queries.invalidateQueries(cropsQuery);
      onDone(id);
    },
    onError: (error) => {
      if (!(error instanceof ApiFailure)) return;
      for (const { field, message } of error.body.fields)
        form.setError(field as FieldPath<CropValues>, { message });
    },
  });
  return (
    <FormProvider {...form}>
      <Form
        noValidate
        className="lot-form"
        onSubmit={(event) => {
          event.preventDefault();
          void form.handleSubmit(() => save.mutate(form.getValues()))();
        }}
      >
        <h2>{crop ? say('change', { commonName: crop.commonName }) : say('aCropOfYourOwn')}</h2>
        <div className="form-row">
          <Entry<CropValues> name="commonName" label={say('called')} />
          <Entry<CropValues> name="scientificName" label={say('scientificName')} />
          <Form.Group controlId="crop-habit" className="plan-field">
            <Form.Label>{say('growsAs')}</Form.Label>
            <Form.Select {...form.register('habit')}>
              {CROP_HABITS.map((habit) => (
                <option key={habit}>{habit}</option>
              ))}
            </Form.Select>
          </Form.Group>
        </div>
        <div className="form-row">
          <Entry<CropValues> name="seedLengthMm" label={say('seedLong')} unit="mm" type="number" />
          <Entry<CropValues> name="seedThicknessMm" label={say('thick')} unit="mm" type="number" />
          <Entry<CropValues> name="sowingDepthMm" label={say('depth')} unit="mm" type="number" />
          <Entry<CropValues> name="germinationPercent" label={say('comeUp')} unit="%" type="number" />
        </div>
        <div className="form-row">
          <Entry<CropValues> name="daysToEmergence.min" label={say('upFromDay')} type="number" />
          <Entry<CropValues> name="daysToEmergence.max" label={say('toDay')} type="number" />
          <Entry<CropValues> name="heightAtDay21Mm" label={say('atThreeWeeks')} unit="mm" type="number" />
          <Entry<CropValues> name="matureHeightMm" label={say('fullGrown')} unit="mm" type="number" />
        </div>
        <div className="form-row">
          <Entry<CropValues> name="temperatureC.min" label={say('coldest')} unit="°C" type="number" />
          <Entry<CropValues> name="temperatureC.best" label={say('best')} unit="°C" type="number" />
          <Entry<CropValues> name="temperatureC.max" label={say('hottest')} unit="°C" type="number" />
          <Form.Group controlId="crop-light" className="plan-field">
            <Form.Label>{say('toComeUp')}</Form.Label>
            <Form.Select {...form.register('lightToGerminate')}>
              <option value="either">{say('lightOrDark')}</option>
              <option value="needs_light">{say('needsLight')}</option>
              <option value="needs_dark">{say('needsTheDark')}</option>
            </Form.Select>
          </Form.Group>
        </div>
        <Entry<CropValues> name="caution" label={say('caution')} />
        {!(save.error instanceof ApiFailure && save.error.body.fields.length > 0) && (
          <FailureNote error={save.error} />
        )}
        {form.formState.errors.temperatureC?.message && (
          <p className="field-problem">{form.formState.errors.temperatureC.message}</p>
        )}
        {form.formState.errors.daysToEmergence?.message && (
          <p className="field-problem">{form.formState.errors.daysToEmergence.message}</p>
        )}
        <div className="button-row">
          <Button type="submit" size="sm" disabled={save.isPending}>
            {say('keepThisCrop')}
          </Button>
          <Button variant="light" size="sm" onClick={() => onDone(undefined)}>
            {say('neverMind')}
          </Button>
        </div>
      </Form>
    </FormProvider>
  );
}

function withoutId(crop: CropView | undefined): Partial<CropRequest> {
  if (!crop) return {};
  const figures: Partial<CropView> = { ...crop };
  delete figures.id;
  delete figures.isOwn;
  return figures;
}

function request({ daysToEmergence, ...values }: CropValues): CropRequest {
  const { min, max } = daysToEmergence;
  return { ...values, daysToEmergence: min === null || max === null ? null : { min, max } };
}
