import { say } from '@bright-sprout/words/plans';
import { allOf } from '@bright-sprout/words/say';
import { addressOf } from '../shared/api/index.ts';
import { type PlanRequest, planRoutes } from '@bright-sprout/contract/plans';
import { CalendarDays, Plus, X } from 'lucide-react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useFormContext } from 'react-hook-form';
import { Link } from 'react-router';
import { useExperiment } from '../shared/experiment/index.ts';
import { shortDay, WEEKDAYS } from '../shared/ui/index.ts';
import { ChoiceInput, DayInput, NumberInput, TextInput, TickInput } from './fields.tsx';
import { usePlanEditor } from './plan-editor.tsx';
import { SowingAdvice } from './sowing-advice.tsx';
import { WeekBoard } from './week-board.tsx';

/** The calendar: dates, meeting days, holidays, and every task on its day. */
export function DaysSection() {
  const { plan, isPlanted } = usePlanEditor();
  const { experiment } = useExperiment();
  return (
    <>
      <div className="form-row">
        <DayInput name="sowOn" label={say('sowOn2')} disabled={isPlanted} />
        <DayInput name="lessonOn" label={say('lessonOn')} />
        <GoalEntry />
      </div>
      {plan.kind === 'sorting' && (
        <div className="form-row">
          <DayInput name="sortOn" label={say('seedsAreSortedOn')} isOptional disabled={isPlanted} />
        </div>
      )}
      <SowingAdvice />
      <WeekBoard />
      <div className="button-row">
        <a
          className="btn btn-light btn-sm"
          href={addressOf(planRoutes.calendar, { experimentId: experiment.id })}
          download="calendar.ics"
        >
          <CalendarDays size={16} aria-hidden="true" /> {say('calendarFileIcalendar')}
        </a>
      </div>
      <details className="class-days">
        <summary>{say('whenTheClassMeetsAndWhatIt')}</summary>
        {experiment.classId === null ? (
          <>
            <MeetingDays />
            <Holidays />
          </>
        ) : (
          <DaysOfClass />
        )}
        <div className="form-row">
          <ChoiceInput
            name="calendar.rhythm"
            label={say('read2')}
            options={[
              ['class_days', say('everyClassDay')],
              ['every_other', say('everyOtherClassDay')],
              ['weekly', say('onceAWeek')],
            ]}
          />
          <NumberInput
            name="calendar.waterEveryDays"
            label={say('waterAtLeastEvery')}
            unit={say('days2')}
            step={1}
          />
          <TextInput name="calendar.helper" label={say('helperInBreaks')} />
        </div>
        <div className="form-row">
          <DayInput name="calendar.lastFrostOn" label={say('plantedOutAfterTheLastFrostOn')} isOptional />
          <div className="plan-field">
            <TickInput name="calendar.potsOn" label={say('pottedOn')} />
            {plan.calendar.potsOn && (
              <NumberInput name="calendar.potOnMl" label={say('potsToMoveInto')} unit="mL" isOptional />
            )}
            <TickInput name="calendar.isHarvested" label={say('grownToHarvestOrFlower')} />
          </div>
        </div>
      </details>
    </>
  );
}

/** What should stand on the layout at the lesson. */
function GoalEntry() {
  return (
    <>
      <ChoiceInput
        name="goal.share"
        isNumber
        label={say('byThen')}
        options={[
          ['0.5', say('halfOfThePots')],
          ['0.8', say('n8Of10Pots')],
          ['0.9', say('n9Of10Pots')],
          ['1', say('everyPot')],
        ]}
      />
      <NumberInput name="goal.heightMm" label={say('areAtLeast')} unit="mm" />
    </>
  );
}

/** The days of a class are kept with the class. */
function DaysOfClass() {
  const { plan } = usePlanEditor();
  const { meetingDays, holidays } = plan.calendar;
  const names = meetingDays.map((day) => WEEKDAYS[day - 1] ?? '');
  return (
    <div className="days-of-class">
      <p>
        {say('yourClassMeetsOn', { days: allOf(names) })}{' '}
        {holidays.map(({ name, from, to }) => (
          <span key={`${name} ${from}`} className="holiday-name">
            {say('noClassFromTo', {
              name,
              from: shortDay(from),
              to: shortDay(to),
              isOneDay: from === to ? 'yes' : 'no',
            })}{' '}
          </span>
        ))}
      </p>
      <p className="quiet">
        {say('daysAreOfTheClass')} <Link to="/classes">{say('changeThemInClasses')}</Link>
      </p>
    </div>
  );
}

function MeetingDays() {
  const { plan, apply, problem } = usePlanEditor();
  const { meetingDays } = plan.calendar;
  const toggle = (day: number): void => {
    const next = meetingDays.includes(day)
      ? meetingDays.filter((one) => one !== day)
      : [...meetingDays, day].sort();
    if (next.length > 0) apply({ calendar: { ...plan.calendar, meetingDays: next } });
  };
  return (
    <fieldset className="meeting-days">
      <legend>{say('theClassMeetsOn')}</legend>
      {WEEKDAYS.map((name, index) => (
        <Form.Check
          key={name}
          inline
          type="checkbox"
          id={`meets-${name}`}
          label={name}
          checked={meetingDays.includes(index + 1)}
          onChange={() => toggle(index + 1)}
        />
      ))}
      {problem('calendar.meetingDays') && <p className="field-problem">{problem('calendar.meetingDays')}</p>}
    </fieldset>
  );
}

function Holidays() {
  const { plan, apply } = usePlanEditor();
  const { getValues } = useFormContext<PlanRequest>();
  const change = (holidays: PlanRequest['calendar']['holidays']): void =>
    apply({ calendar: { ...getValues('calendar'), holidays } });
  return (
    <fieldset className="holidays">
      <legend>{say('noClass')}</legend>
      {plan.calendar.holidays.map((_, index) => (
        <div key={index} className="form-row">
          <TextInput name={`calendar.holidays.${index}.name`} label={say('called')} />
          <DayInput name={`calendar.holidays.${index}.from`} label={say('from')} />
          <DayInput name={`calendar.holidays.${index}.to`} label={say('to')} />
          <Button
            variant="light"
            size="sm"
            aria-label={say('removeHoliday', { index: index + 1 })}
            onClick={() => change(getValues('calendar.holidays').filter((__, at) => at !== index))}
          >
            <X size={15} aria-hidden="true" />
          </Button>
        </div>
      ))}
      <Button
        variant="light"
        size="sm"
        onClick={() =>
          change([
            ...getValues('calendar.holidays'),
            { name: say('holiday'), from: plan.sowOn, to: plan.sowOn },
          ])
        }
      >
        <Plus size={16} aria-hidden="true" /> {say('aHoliday')}
      </Button>
    </fieldset>
  );
}
