import type { PlanRequest } from '@bright-sprout/contract/plans';
import { addressOf } from '../shared/api/index.ts';
import { planRoutes } from '@bright-sprout/contract/plans';
import { CalendarDays, Plus, X } from 'lucide-react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { useFormContext } from 'react-hook-form';
import { useExperiment } from '../shared/experiment/index.ts';
import { ChoiceInput, DayInput, NumberInput, TextInput, TickInput } from './fields.tsx';
import { usePlanEditor } from './plan-editor.tsx';
import { SowingAdvice } from './sowing-advice.tsx';
import { WeekBoard } from './week-board.tsx';

const WEEKDAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** The calendar: dates, meeting days, holidays, and every task on its day. */
export function DaysSection() {
  const { isPlanted } = usePlanEditor();
  const { experiment } = useExperiment();
  return (
    <>
      <div className="form-row">
        <DayInput name="sowOn" label="Sow on" disabled={isPlanted} />
        <DayInput name="lessonOn" label="Lesson on" />
        <GoalEntry />
      </div>
      <SowingAdvice />
      <WeekBoard />
      <div className="button-row">
        <a
          className="btn btn-light btn-sm"
          href={addressOf(planRoutes.calendar, { experimentId: experiment.id })}
          download="calendar.ics"
        >
          <CalendarDays size={16} aria-hidden="true" /> Calendar file (iCalendar)
        </a>
      </div>
      <details className="class-days">
        <summary>When the class meets, and what it does when</summary>
        <MeetingDays />
        <Holidays />
        <div className="form-row">
          <ChoiceInput
            name="calendar.rhythm"
            label="Read"
            options={[
              ['class_days', 'every class day'],
              ['every_other', 'every other class day'],
              ['weekly', 'once a week'],
            ]}
          />
          <NumberInput name="calendar.waterEveryDays" label="Water at least every" unit="days" step={1} />
          <TextInput name="calendar.helper" label="Helper in breaks" />
        </div>
        <div className="form-row">
          <DayInput name="calendar.lastFrostOn" label="Planted out after the last frost on" isOptional />
          <div className="plan-field">
            <TickInput name="calendar.potsOn" label="Potted on" />
            <TickInput name="calendar.isHarvested" label="Grown to harvest or flower" />
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
        label="By then"
        options={[
          ['0.5', 'half of the pots'],
          ['0.8', '8 of 10 pots'],
          ['0.9', '9 of 10 pots'],
          ['1', 'every pot'],
        ]}
      />
      <NumberInput name="goal.heightMm" label="are at least" unit="mm" />
    </>
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
      <legend>The class meets on</legend>
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
      <legend>No class</legend>
      {plan.calendar.holidays.map((_, index) => (
        <div key={index} className="form-row">
          <TextInput name={`calendar.holidays.${index}.name`} label="Called" />
          <DayInput name={`calendar.holidays.${index}.from`} label="From" />
          <DayInput name={`calendar.holidays.${index}.to`} label="to" />
          <Button
            variant="light"
            size="sm"
            aria-label={`Remove holiday ${index + 1}`}
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
          change([...getValues('calendar.holidays'), { name: 'Holiday', from: plan.sowOn, to: plan.sowOn }])
        }
      >
        <Plus size={16} aria-hidden="true" /> A holiday
      </Button>
    </fieldset>
  );
}
