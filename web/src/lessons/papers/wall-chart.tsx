import { say } from '@bright-sprout/words/lessons';
import { isClassDay } from '@bright-sprout/core/calendar';
import { calendarDay, daysFromTo, toMillimetres } from '@bright-sprout/core/shared';
import { useExperiment } from '../../shared/experiment/index.ts';
import { COLOURS, shortDay } from '../../shared/ui/index.ts';
import { drawingScale } from '../drawing-scale.ts';
import type { PaperProps } from './papers-page.tsx';

const WIDE = 1000;
const TALL = 620;
const LEFT = 70;
const FLOOR = 540;
const USUAL_MM = 150;
const ROOM = 1.25;

/** A chart to fill in by hand. */
export function WallChart({ now }: PaperProps) {
  const { experiment } = useExperiment();
  const plan = experiment.plan;
  const days = daysFromTo(calendarDay(experiment.sowOn), calendarDay(experiment.lessonOn)).filter(
    (day) => !plan || isClassDay(day, plan.calendar),
  );
  const most = Math.max(
    (experiment.crop?.heightAtDay21Mm ?? USUAL_MM) * ROOM,
    ...[...now.histories.values()].flatMap((history) => history.map(({ value }) => value ?? 0)),
  );
  const scale = drawingScale(
    now.isHeight ? most : toMillimetres(10, 'cm'),
    now.isHeight ? now.style : { kind: 'count' },
  );
  const x = (at: number): number => LEFT + ((WIDE - LEFT - 10) * at) / Math.max(1, days.length - 1);
  const y = (value: number): number => FLOOR - ((FLOOR - 20) * value) / scale.top;
  return (
    <section className="wall-chart">
      <h1>{experiment.question}</h1>
      <p>{say('wallChartHow', { unit: scale.unit })}</p>
      <svg viewBox={`0 0 ${WIDE} ${TALL}`} role="img" aria-label={say('emptyChart', { days: days.length })}>
        {scale.marks.map(({ value, label }) => (
          <g key={value}>
            <line
              x1={LEFT}
              x2={WIDE - 10}
              y1={y(value)}
              y2={y(value)}
              stroke={COLOURS.grey}
              strokeWidth={label === '' ? 0.6 : 1.6}
            />
            {label !== '' && (
              <text x={LEFT - 10} y={y(value) + 6} textAnchor="end" className="curves-number">
                {label}
              </text>
            )}
          </g>
        ))}
        {days.map((day, at) => (
          <g key={day}>
            <line x1={x(at)} x2={x(at)} y1={20} y2={FLOOR} stroke={COLOURS.grey} strokeWidth="0.8" />
            <text transform={`translate(${x(at) + 4} ${FLOOR + 12}) rotate(70)`} className="wall-day">
              {shortDay(day)}
            </text>
          </g>
        ))}
      </svg>
    </section>
  );
}
