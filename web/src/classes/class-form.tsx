import { ClassRequest, classRoutes, type ClassView } from '@bright-sprout/contract/classes';
import { READING_LEVELS } from '@bright-sprout/core/words';
import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Plus, X } from 'lucide-react';
import { useRef } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useFieldArray, useForm } from 'react-hook-form';
import { v7 as uuid } from 'uuid';
import { call, classesQuery, practiceQuery, sessionQuery } from '../shared/api/index.ts';
import { FailureNote, fieldMessage, QrCode } from '../shared/ui/index.ts';

const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** What a class is called, how old it is, and when it meets. */
export function ClassForm({
  schoolClass,
  onKept,
}: {
  schoolClass: ClassView | undefined;
  onKept: (id: string) => void;
}) {
  const queries = useQueryClient();
  const session = useQuery(sessionQuery).data;
  const newId = useRef(schoolClass?.id ?? uuid());
  const { control, register, handleSubmit, formState, watch, setValue } = useForm<ClassRequest>({
    resolver: classValidatorResolver(ClassRequest),
    defaultValues: {
      name: schoolClass?.name ?? '',
      readingLevel: schoolClass?.readingLevel ?? '8-10',
      timeZone: schoolClass?.timeZone ?? session?.timeZone ?? 'UTC',
      asksPin: schoolClass?.asksPin ?? false,
      meetingDays: schoolClass?.meetingDays ?? [1, 2, 3, 4, 5],
      holidays: schoolClass?.holidays ?? [],
    },
  });
  const holidays = useFieldArray({ control, name: 'holidays' });
  const again = () => queries.invalidateQueries(classesQuery);
  const save = useMutation({
    mutationFn: (body: ClassRequest) =>
      call(classRoutes.saveClass, { params: { newClassId: newId.current }, body }),
    onSuccess: async ({ id }) => {
      await again();
      onKept(id);
    },
  });
  const recode = useMutation({
    mutationFn: () => call(classRoutes.newCode, { params: { classId: newId.current } }),
    onSuccess: again,
  });
  const remove = useMutation({
    mutationFn: () => call(classRoutes.removeClass, { params: { classId: newId.current } }),
    onSuccess: again,
  });
  const { errors } = formState;
  const days = watch('meetingDays');
  const toggle = (day: number): void =>
    setValue('meetingDays', days.includes(day) ? days.filter((one) => one !== day) : [...days, day].sort(), {
      shouldDirty: true,
      shouldValidate: true,
    });
  return (
    <Form
      noValidate
      className="lot-form"
      onSubmit={(event) => void handleSubmit((body) => save.mutate({ ...body }))(event)}
    >
      <div className="form-row">
        <Form.Group controlId="class-name" className="plan-field is-wide">
          <Form.Label>Class called</Form.Label>
          <Form.Control {...register('name')} autoComplete="off" isInvalid={!!errors.name} />
          {errors.name && <p className="field-problem">{errors.name.message}</p>}
        </Form.Group>
        <Form.Group controlId="class-level" className="plan-field">
          <Form.Label>Words for ages</Form.Label>
          <Form.Select {...register('readingLevel')}>
            {READING_LEVELS.map((level) => (
              <option key={level}>{level}</option>
            ))}
          </Form.Select>
        </Form.Group>
        <Form.Group controlId="class-zone" className="plan-field">
          <Form.Label>Time zone</Form.Label>
          <Form.Control {...register('timeZone')} autoComplete="off" isInvalid={!!errors.timeZone} />
          {errors.timeZone && <p className="field-problem">{errors.timeZone.message}</p>}
        </Form.Group>
      </div>
      <fieldset className="meeting-days">
        <legend>Meets on</legend>
        {WEEKDAYS.map((name, index) => (
          <Form.Check
            key={name}
            inline
            type="checkbox"
            id={`class-meets-${name}`}
            label={name}
            checked={days.includes(index + 1)}
            onChange={() => toggle(index + 1)}
          />
        ))}
        {errors.meetingDays?.message && <p className="field-problem">{errors.meetingDays.message}</p>}
      </fieldset>
      <fieldset className="holidays">
        <legend>No class</legend>
        {holidays.fields.map((field, index) => (
          <div key={field.id} className="form-row holiday-row">
            <Form.Control {...register(`holidays.${index}.name`)} aria-label={`Holiday ${index + 1}`} />
            <Form.Control
              {...register(`holidays.${index}.from`)}
              type="date"
              aria-label={`Holiday ${index + 1} from`}
            />
            <Form.Control
              {...register(`holidays.${index}.to`)}
              type="date"
              aria-label={`Holiday ${index + 1} to`}
            />
            <Button
              variant="light"
              size="sm"
              aria-label={`Remove holiday ${index + 1}`}
              onClick={() => holidays.remove(index)}
            >
              <X size={15} aria-hidden="true" />
            </Button>
            {(errors.holidays?.[index] ?? fieldMessage(save.error, `holidays.${index}.to`)) && (
              <p className="field-problem">
                {errors.holidays?.[index]?.name?.message ??
                  errors.holidays?.[index]?.from?.message ??
                  errors.holidays?.[index]?.to?.message ??
                  fieldMessage(save.error, `holidays.${index}.to`)}
              </p>
            )}
          </div>
        ))}
        <Button
          variant="light"
          size="sm"
          onClick={() => holidays.append({ name: 'Holiday', from: '' as never, to: '' as never })}
        >
          <Plus size={16} aria-hidden="true" /> A holiday
        </Button>
      </fieldset>
      <Form.Check
        {...register('asksPin')}
        type="checkbox"
        id="class-pin"
        className="mb-3"
        label="Each student types a PIN of four digits"
      />
      {schoolClass && <ClassJoining schoolClass={schoolClass} />}
      {schoolClass && (
        <p className="class-code">
          Students go to <b className="join-address">{location.host}/join</b> and type{' '}
          <b>{schoolClass.code}</b>{' '}
          <Button variant="light" size="sm" disabled={recode.isPending} onClick={() => recode.mutate()}>
            New code
          </Button>
        </p>
      )}
      {!(save.error && fieldMessage(save.error, 'holidays.0.to')) && (
        <FailureNote error={save.error ?? recode.error ?? remove.error} />
      )}
      <div className="button-row">
        <Button type="submit" disabled={save.isPending || (schoolClass !== undefined && !formState.isDirty)}>
          {schoolClass ? 'Keep these changes' : 'Make this class'}
        </Button>
        {schoolClass && <RemoveClass name={schoolClass.name} onRemove={() => remove.mutate()} />}
      </div>
    </Form>
  );
}

/** The way in for a tablet's camera, and how well the class reads rulers. */
function ClassJoining({ schoolClass }: { schoolClass: ClassView }) {
  const practice = useQuery(practiceQuery(schoolClass.id)).data;
  return (
    <div className="class-joining">
      <QrCode
        text={`${location.origin}/join?code=${schoolClass.code}`}
        label={`QR code that opens ${schoolClass.name}`}
      />
      <p>
        {practice?.typicalMm != null && practice.biasMm !== null ? (
          <>
            On practice rulers this class is typically <b>{practice.typicalMm.toFixed(1)} mm</b> off (
            {practice.n} readings, {Math.abs(practice.biasMm).toFixed(1)} mm too{' '}
            {practice.biasMm < 0 ? 'short' : 'long'} on average). Smaller changes than{' '}
            {(2 * Math.SQRT2 * practice.typicalMm).toFixed(0)} mm may be reading alone.
          </>
        ) : (
          'Students can practise on drawn rulers from their own page; how far off the class reads is shown here.'
        )}
      </p>
    </div>
  );
}

/** Removing a class removes its names for good, so it is asked once more. */
function RemoveClass({ name, onRemove }: { name: string; onRemove: () => void }) {
  const isAsked = useRef<HTMLDialogElement>(null);
  return (
    <>
      <Button variant="light" onClick={() => isAsked.current?.showModal()}>
        Remove this class
      </Button>
      <dialog ref={isAsked} className="ask" aria-label={`Remove ${name}?`}>
        <p>
          <b>Remove {name}?</b> Its names and teams are gone for good. Experiments and readings stay.
        </p>
        <div className="button-row">
          <Button variant="danger" onClick={onRemove}>
            Remove it
          </Button>
          <Button variant="light" onClick={() => isAsked.current?.close()}>
            Leave it
          </Button>
        </div>
      </dialog>
    </>
  );
}
