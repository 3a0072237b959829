import type { Comparison } from '@bright-sprout/core/comparison';
import type { ValueStyle } from '@bright-sprout/core/words';
import { say } from '@bright-sprout/words/lessons';
import { MarkShape, treatmentStyle } from '../shared/plants/index.ts';
import { COLOURS } from '../shared/ui/index.ts';
import { drawingScale } from './drawing-scale.ts';
import type { LessonGroup } from './lesson-now.ts';

const WIDE = 1000;
const TALL = 520;
const LEFT = 74;
const RIGHT = 250;
const TOP = 48;
const FLOOR = 450;
const LABEL_GAP = 34;
const MOST_DAY_NUMBERS = 10;

/** Growth by treatment and pot, and where each pot stands on the day: one drawing for a room, a report and paper. */
export function CurvesDrawing({
  comparison,
  groups,
  style,
  variableName,
  isOwn = false,
  className = '',
}: {
  comparison: Pick<Comparison, 'unitCurves' | 'treatmentCurves' | 'groups' | 'age'>;
  groups: readonly LessonGroup[];
  style: ValueStyle;
  variableName: string;
  /** The pots drawn are somebody's own: they are as strong as the averages. */
  isOwn?: boolean;
  className?: string;
}) {
  const { age } = comparison;
  const { unitCurves, treatmentCurves } = untilDay(comparison);
  const all = unitCurves.flatMap(({ points }) => points);
  if (all.length === 0) return null;
  const scale = drawingScale(Math.max(...all.map(({ value }) => value)), style);
  const lastAge = Math.max(1, age ?? 0, ...all.map((point) => point.age));
  const x = (at: number): number => LEFT + ((WIDE - LEFT - RIGHT) * at) / lastAge;
  const y = (value: number): number => FLOOR - ((FLOOR - TOP) * value) / scale.top;
  const styles = new Map(groups.map((group) => [group.id, treatmentStyle(group.style)]));
  const marks = new Map(groups.map((group) => [group.id, <MarkShape key="mark" style={group.style} />]));
  const ends = apartLabels(
    treatmentCurves.flatMap(({ groupId, points }) => {
      const last = points.at(-1);
      return last ? [{ groupId, age: last.age, at: y(last.mean) }] : [];
    }),
  );
  const path = (points: readonly { age: number; value: number }[]): string =>
    points
      .map(
        (point, index) => `${index === 0 ? 'M' : 'L'}${x(point.age).toFixed(1)} ${y(point.value).toFixed(1)}`,
      )
      .join('');
  return (
    <svg
      className={`curves-drawing ${className}`}
      viewBox={`0 0 ${WIDE} ${TALL}`}
      role="img"
      aria-label={say('curvesOf', { variableName, treatments: groups.length, days: lastAge })}
    >
      <Axes scale={scale} x={x} y={y} lastAge={lastAge} />
      <g className="curves-lines">
        {unitCurves.map(({ unitId, groupId, points }) => (
          <path
            key={unitId}
            d={path(points)}
            fill="none"
            stroke={styles.get(groupId)?.color}
            strokeWidth={isOwn ? 4 : 1.6}
            opacity={isOwn ? 0.9 : 0.28}
          />
        ))}
        {treatmentCurves.map(({ groupId, points }) => (
          <path
            key={groupId}
            d={path(points.map((point) => ({ age: point.age, value: point.mean })))}
            fill="none"
            stroke={styles.get(groupId)?.color}
            strokeWidth={isOwn ? 2 : 5}
            strokeDasharray={isOwn ? '7 6' : DASHES[styles.get(groupId)?.dash ?? 'solid']}
            strokeLinejoin="round"
          />
        ))}
      </g>
      {age !== null && (
        <g className="curves-dots">
          {comparison.groups.flatMap(({ groupId, points }) =>
            points.map((point) => (
              <g
                key={point.unitId}
                transform={`translate(${x(age) - 7} ${y(point.value) - 7}) scale(.58)`}
                stroke={COLOURS.card}
                strokeWidth="1.5"
              >
                {marks.get(groupId)}
              </g>
            )),
          )}
        </g>
      )}
      <g className="curves-labels">
        {ends.map(({ groupId, at }) => (
          <g key={groupId} transform={`translate(${WIDE - RIGHT + 14} ${at})`}>
            <g transform="translate(0 -11) scale(.9)">{marks.get(groupId)}</g>
            <text x="30" y="7" className="curves-label">
              {shortened(groups.find(({ id }) => id === groupId)?.name ?? '')}
            </text>
          </g>
        ))}
      </g>
    </svg>
  );
}

/** Dashes of a line in a drawing. */
const DASHES = { solid: undefined, dash: '14 8', dot: '3 7' } as const;

/** Curves until the day, and averages only of days on which at least half as many pots were read as on the fullest. */
function untilDay({
  unitCurves,
  treatmentCurves,
  age,
}: Pick<Comparison, 'unitCurves' | 'treatmentCurves' | 'age'>): Pick<
  Comparison,
  'unitCurves' | 'treatmentCurves'
> {
  const isUntil = (point: { readonly age: number }): boolean => age === null || point.age <= age;
  return {
    unitCurves: unitCurves.map((curve) => ({ ...curve, points: curve.points.filter(isUntil) })),
    treatmentCurves: treatmentCurves.map((curve) => {
      const points = curve.points.filter(isUntil);
      const most = Math.max(0, ...points.map(({ n }) => n));
      return { ...curve, points: points.filter(({ n }) => 2 * n >= most) };
    }),
  };
}

const MOST_LETTERS = 20;

function shortened(name: string): string {
  return name.length > MOST_LETTERS ? `${name.slice(0, MOST_LETTERS - 1)}…` : name;
}

/** Labels at the ends of lines, moved apart where they would lie over each other, the order kept. */
function apartLabels<T extends { readonly at: number }>(labels: readonly T[]): T[] {
  const sorted = [...labels].sort((a, b) => a.at - b.at);
  let floor = -Infinity;
  return sorted.map((label) => {
    const at = Math.max(label.at, floor + LABEL_GAP, TOP);
    floor = at;
    return { ...label, at };
  });
}

function Axes({
  scale,
  x,
  y,
  lastAge,
}: {
  scale: ReturnType<typeof drawingScale>;
  x: (age: number) => number;
  y: (value: number) => number;
  lastAge: number;
}) {
  const every = [1, 2, 5, 7, 14, 28, 56].find((step) => lastAge / step <= MOST_DAY_NUMBERS) ?? 112;
  const days = Array.from({ length: Math.floor(lastAge / every) + 1 }, (_, at) => at * every);
  return (
    <g>
      {scale.marks
        .filter(({ label }) => label !== '')
        .map(({ value, label }) => (
          <g key={value}>
            <line
              x1={LEFT}
              x2={WIDE - RIGHT}
              y1={y(value)}
              y2={y(value)}
              stroke={COLOURS.grid}
              strokeWidth="1.5"
            />
            <text x={LEFT - 12} y={y(value) + 7} textAnchor="end" className="curves-number">
              {label}
            </text>
          </g>
        ))}
      <text x={LEFT - 12} y={TOP - 24} textAnchor="end" className="curves-unit">
        {scale.unit}
      </text>
      {days.map((day) => (
        <text key={day} x={x(day)} y={FLOOR + 32} textAnchor="middle" className="curves-number">
          {day}
        </text>
      ))}
      <text x={(LEFT + WIDE - RIGHT) / 2} y={TALL - 8} textAnchor="middle" className="curves-unit">
        {say('daysSinceSowing')}
      </text>
    </g>
  );
}
