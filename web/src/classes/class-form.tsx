import { say } from '@bright-sprout/words/classes';
import { oneOf } from '@bright-sprout/words/say';
import { ClassRequest, classRoutes, type ClassView } from '@bright-sprout/contract/classes';
import type { CalendarDay } from '@bright-sprout/core/shared';
import { READING_LEVELS } from '@bright-sprout/core/words';
import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { type QueryClient, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Plus, X } from 'lucide-react';
import { useRef } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useFieldArray, useForm, type UseFormReturn } from 'react-hook-form';
import { v7 as uuid } from 'uuid';
import { MovedPlans } from './moved-plans.tsx';
import { addressOf, call, classesQuery, keys, practiceQuery, sessionQuery } from '../shared/api/index.ts';
import {
  ConfirmPassword,
  isUnconfirmed,
  Said,
  FailureNote,
  fieldMessage,
  QrCode,
  WEEKDAYS,
  useJoinAddress,
} from '../shared/ui/index.ts';

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
  const form = useForm<ClassRequest>({
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
  const { register, handleSubmit, formState, watch, setValue } = form;
  const again = () => queries.invalidateQueries(classesQuery);
  const save = useMutation({
    mutationFn: (body: ClassRequest) =>
      call(classRoutes.saveClass, { params: { newClassId: newId.current }, body }),
    onSuccess: async ({ id }) => {
      await Promise.all([again(), forgetPlans(queries)]);
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
    <>
      <Form
        noValidate
        className="lot-form"
        onSubmit={(event) => void handleSubmit((body) => save.mutate({ ...body }))(event)}
      >
        <div className="form-row">
          <Form.Group controlId="class-name" className="plan-field is-wide">
            <Form.Label>{say('classCalled')}</Form.Label>
            <Form.Control {...register('name')} autoComplete="off" isInvalid={!!errors.name} />
            {errors.name && <p className="field-problem">{errors.name.message}</p>}
          </Form.Group>
          <Form.Group controlId="class-level" className="plan-field">
            <Form.Label>{say('wordsForAges')}</Form.Label>
            <Form.Select {...register('readingLevel')}>
              {READING_LEVELS.map((level) => (
                <option key={level}>{level}</option>
              ))}
            </Form.Select>
          </Form.Group>
          <Form.Group controlId="class-zone" className="plan-field">
            <Form.Label>{say('timeZone')}</Form.Label>
            <Form.Control {...register('timeZone')} autoComplete="off" isInvalid={!!errors.timeZone} />
            {errors.timeZone && <p className="field-problem">{errors.timeZone.message}</p>}
          </Form.Group>
        </div>
        <fieldset className="meeting-days">
          <legend>{say('meetsOn')}</legend>
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
        <Holidays form={form} refusal={(index) => fieldMessage(save.error, `holidays.${index}.to`)} />
        {schoolClass && <p className="quiet">{say('plansFollowTheseDays')}</p>}
        <Form.Check
          {...register('asksPin')}
          type="checkbox"
          id="class-pin"
          className="mb-3"
          label={say('eachStudentTypesAPinOfFour')}
        />
        <HowToJoin schoolClass={schoolClass} isBusy={recode.isPending} onNew={() => recode.mutate()} />
        {!(save.error && fieldMessage(save.error, 'holidays.0.to')) && (
          <FailureNote
            error={save.error ?? recode.error ?? (isUnconfirmed(remove.error) ? null : remove.error)}
          />
        )}
        <div className="button-row">
          <Button
            type="submit"
            disabled={save.isPending || (schoolClass !== undefined && !formState.isDirty)}
          >
            {schoolClass ? say('keepTheseChanges') : say('makeThisClass')}
          </Button>
          <OwnersOnly schoolClass={schoolClass} onRemove={() => remove.mutate()} />
        </div>
      </Form>
      <MovedPlans plans={save.data?.movedPlans ?? []} />
      {isUnconfirmed(remove.error) && <ConfirmPassword onConfirmed={() => remove.mutate()} />}
    </>
  );
}

/** How tablets come in; nothing for a new class, and for a co-teacher who may only see it. */
function HowToJoin({
  schoolClass,
  isBusy,
  onNew,
}: {
  schoolClass: ClassView | undefined;
  isBusy: boolean;
  onNew: () => void;
}) {
  if (!schoolClass?.code) return null;
  return (
    <>
      <ClassJoining schoolClass={schoolClass} />
      <ClassCode code={schoolClass.code} isBusy={isBusy} onNew={onNew} />
    </>
  );
}

/** The way in for a tablet's camera, and how well the class reads rulers. */
function ClassJoining({ schoolClass }: { schoolClass: ClassView }) {
  const practice = useQuery(practiceQuery(schoolClass.id)).data;
  const { origin } = useJoinAddress();
  return (
    <div className="class-joining">
      <QrCode
        text={`${origin}/join?code=${schoolClass.code}`}
        label={say('qrCodeThatOpens', { schoolClass: schoolClass.name })}
      />
      <p>
        {practice?.typicalMm != null && practice.biasMm !== null ? (
          <>
            <Said
              by={say}
              code="onPracticeRulersThisClassIsTypically"
              values={{
                typicalMm: practice.typicalMm.toFixed(1),
                n: practice.n,
                biasMm: Math.abs(practice.biasMm).toFixed(1),
                ifBiasMm: practice.biasMm < 0 ? 'yes' : 'no',
                value: (2 * Math.SQRT2 * practice.typicalMm).toFixed(0),
              }}
            />
          </>
        ) : (
          say('studentsCanPractiseOnDrawnRulersFrom')
        )}
      </p>
    </div>
  );
}

/** What only the owner of a class may do with it. */
function OwnersOnly({ schoolClass, onRemove }: { schoolClass: ClassView | undefined; onRemove: () => void }) {
  if (!schoolClass || schoolClass.shared) return null;
  return (
    <>
      <AllThatIsKept classId={schoolClass.id} />
      <RemoveClass name={schoolClass.name} onRemove={onRemove} />
    </>
  );
}

/** A file of the class, with everything that its students made. */
function AllThatIsKept({ classId }: { classId: string }) {
  return (
    <a className="btn btn-light" href={addressOf(classRoutes.keptOfClass, { classId })} download>
      {say('allThatIsKept')}
    </a>
  );
}

/** Removing a class removes its names for good, so it is asked once more. */
function RemoveClass({ name, onRemove }: { name: string; onRemove: () => void }) {
  const isAsked = useRef<HTMLDialogElement>(null);
  return (
    <>
      <Button variant="light" onClick={() => isAsked.current?.showModal()}>
        {say('removeThisClass')}
      </Button>
      <dialog ref={isAsked} className="ask" aria-label={say('remove', { name })}>
        <p>
          <Said by={say} code="removeItsNamesAndTeamsAreGone" values={{ name }} />
        </p>
        <div className="button-row">
          <Button variant="danger" onClick={onRemove}>
            {say('removeIt')}
          </Button>
          <Button variant="light" onClick={() => isAsked.current?.close()}>
            {say('leaveIt')}
          </Button>
        </div>
      </dialog>
    </>
  );
}

const NO_DAY = '' as CalendarDay;

/** Days without class; `refusal` says what the server found wrong with one. */
function Holidays({
  form,
  refusal,
}: {
  form: UseFormReturn<ClassRequest>;
  refusal: (index: number) => string | undefined;
}) {
  const { control, register, formState } = form;
  const { errors } = formState;
  const holidays = useFieldArray({ control, name: 'holidays' });
  return (
    <fieldset className="holidays">
      <legend>{say('noClass')}</legend>
      {holidays.fields.map((field, index) => (
        <div key={field.id} className="form-row holiday-row">
          <Form.Control
            {...register(`holidays.${index}.name`)}
            aria-label={say('holiday', { index: index + 1 })}
          />
          <Form.Control
            {...register(`holidays.${index}.from`)}
            type="date"
            aria-label={say('holidayFrom', { index: index + 1 })}
          />
          <Form.Control
            {...register(`holidays.${index}.to`)}
            type="date"
            aria-label={say('holidayTo', { index: index + 1 })}
          />
          <Button
            variant="light"
            size="sm"
            aria-label={say('removeHoliday', { index: index + 1 })}
            onClick={() => holidays.remove(index)}
          >
            <X size={15} aria-hidden="true" />
          </Button>
          {(errors.holidays?.[index] ?? refusal(index)) && (
            <p className="field-problem">
              {errors.holidays?.[index]?.name?.message ??
                errors.holidays?.[index]?.from?.message ??
                errors.holidays?.[index]?.to?.message ??
                refusal(index)}
            </p>
          )}
        </div>
      ))}
      <Button
        variant="light"
        size="sm"
        onClick={() => holidays.append({ name: say('holiday2'), from: NO_DAY, to: NO_DAY })}
      >
        <Plus size={16} aria-hidden="true" /> {say('aHoliday')}
      </Button>
    </fieldset>
  );
}

/** The code by which students join, and a new one that locks out who has the old. */
function ClassCode({ code, isBusy, onNew }: { code: string; isBusy: boolean; onNew: () => void }) {
  const { origin, others, isOnlyHere, isPlain } = useJoinAddress();
  return (
    <>
      <p className="class-code">
        <Said
          by={say}
          code="studentsGoToJoinAndTypeNew"
          values={{
            host: origin,
            code,
            address: (parts) => <b className="join-address">{parts}</b>,
            press: (parts) => (
              <Button variant="light" size="sm" disabled={isBusy} onClick={onNew}>
                {parts}
              </Button>
            ),
          }}
        />
      </p>
      {isOnlyHere && <p className="note-attention">{say('onlyThisComputer')}</p>}
      {others.length > 0 && (
        <p className="quiet">{say('orBy', { others: oneOf(others.map((one) => `${one}/join`)) })}</p>
      )}
      {!isOnlyHere && isPlain && <p className="quiet">{say('plainLine')}</p>}
    </>
  );
}

/** Plans of a class follow its days, so that what is known of them is asked for anew. */
function forgetPlans(queries: QueryClient): Promise<unknown> {
  return Promise.all(
    [keys.experiments, keys.anyExperiment].map((queryKey) => queries.invalidateQueries({ queryKey })),
  );
}
