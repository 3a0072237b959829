import { say } from '@bright-sprout/words/inventory';
import { CropRequest, type CropView, inventoryRoutes } from '@bright-sprout/contract/inventory';
import { CROP_HABITS, SEED_SHAPES } from '@bright-sprout/core/design';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { type FieldPath, FormProvider, useForm, useFormContext } from 'react-hook-form';
import { v7 as uuid } from 'uuid';
import { ApiFailure, call, cropsQuery } from '../shared/api/index.ts';
import { CHOICE, FailureNote } from '../shared/ui/index.ts';
import { Entry } from './inputs.tsx';
import { resolveRequest } from './resolve-request.ts';
import { SHAPE_WORDS } from './seed-shape.tsx';

/** The ranges of days of a crop; an empty one is none. */
const RANGES = ['daysToEmergence', 'daysToRadicle', 'daysToHarvestOrFlower'] as const;
type RangeName = (typeof RANGES)[number];

type CropValues = Omit<CropRequest, RangeName> &
  Record<RangeName, { min: number | null; max: number | null }>;

const EMPTY: Omit<CropRequest, RangeName> = {
  commonName: '',
  scientificName: '',
  propagule: 'seed',
  emergence: null,
  seedShape: 'oval',
  seedLengthMm: null,
  seedThicknessMm: null,
  sowingDepthMm: null,
  lightToGerminate: 'either',
  harvestFrom: 'sowing',
  isOftenTreated: false,
  temperatureC: { base: null, min: 8, best: 22, max: 32 },
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
      ...rangesOf(crop),
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
        <SeedEntries />
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
        <DaysEntries />
        <div className="form-row">
          <Entry<CropValues>
            name="temperatureC.base"
            label={say('baseTemperature')}
            unit="°C"
            type="number"
          />
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
        <Form.Check id="crop-treated" label={say('oftenTreated')} {...form.register('isOftenTreated')} />
        <Entry<CropValues> name="caution" label={say('caution')} />
        {!(save.error instanceof ApiFailure && save.error.body.fields.length > 0) && (
          <FailureNote error={save.error} />
        )}
        <FieldProblem words={form.formState.errors.temperatureC?.message} />
        {RANGES.map((name) => (
          <FieldProblem key={name} words={form.formState.errors[name]?.message} />
        ))}
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

/** What is sown, what it looks like, and where its seed leaves stay. */
function SeedEntries() {
  const { register } = useFormContext<CropValues>();
  return (
    <div className="form-row">
      <Entry<CropValues> name="propagule" label={say('whatIsSown')} />
      <Form.Group controlId="crop-shape" className="plan-field">
        <Form.Label>{say('looksLike')}</Form.Label>
        <Form.Select {...register('seedShape')}>
          {SEED_SHAPES.map((shape) => (
            <option key={shape} value={shape}>
              {SHAPE_WORDS[shape]}
            </option>
          ))}
        </Form.Select>
      </Form.Group>
      <Form.Group controlId="crop-emergence" className="plan-field">
        <Form.Label>{say('seedLeavesCome')}</Form.Label>
        <Form.Select {...register('emergence', CHOICE)}>
          <option value="">{say('notKnown')}</option>
          <option value="epigeal">{say('aboveTheSoil')}</option>
          <option value="hypogeal">{say('stayBelow')}</option>
        </Form.Select>
      </Form.Group>
    </div>
  );
}

/** When the root shows and when there is a harvest, and the room that a plant takes. */
function DaysEntries() {
  const { register } = useFormContext<CropValues>();
  return (
    <div className="form-row">
      <Entry<CropValues> name="daysToRadicle.min" label={say('rootFromDay')} type="number" />
      <Entry<CropValues> name="daysToRadicle.max" label={say('toDay')} type="number" />
      <Entry<CropValues> name="daysToHarvestOrFlower.min" label={say('harvestFromDay')} type="number" />
      <Entry<CropValues> name="daysToHarvestOrFlower.max" label={say('toDay')} type="number" />
      <Form.Group controlId="crop-harvest" className="plan-field">
        <Form.Label>{say('countedFrom')}</Form.Label>
        <Form.Select {...register('harvestFrom')}>
          <option value="sowing">{say('fromSowing')}</option>
          <option value="transplanting">{say('fromTransplanting')}</option>
        </Form.Select>
      </Form.Group>
      <Entry<CropValues> name="spacingMm" label={say('spacing')} unit="mm" type="number" />
    </div>
  );
}

function FieldProblem({ words }: { words: string | undefined }) {
  return words ? <p className="field-problem">{words}</p> : null;
}

function rangesOf(crop: CropView | undefined): Pick<CropValues, RangeName> {
  const none = { min: null, max: null };
  const [emergence, radicle, harvest] = RANGES.map((name) => crop?.[name] ?? none);
  return {
    daysToEmergence: emergence ?? none,
    daysToRadicle: radicle ?? none,
    daysToHarvestOrFlower: harvest ?? none,
  };
}

function withoutId(crop: CropView | undefined): Partial<CropRequest> {
  if (!crop) return {};
  const figures: Partial<CropView> = { ...crop };
  delete figures.id;
  delete figures.isOwn;
  return figures;
}

function request(values: CropValues): CropRequest {
  const [daysToEmergence = null, daysToRadicle = null, daysToHarvestOrFlower = null] = RANGES.map((name) => {
    const { min, max } = values[name];
    return min === null || max === null ? null : { min, max };
  });
  return { ...values, daysToEmergence, daysToRadicle, daysToHarvestOrFlower };
}
