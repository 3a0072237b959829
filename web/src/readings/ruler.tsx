import { COLOURS } from '../shared/ui/index.ts';
import { say } from '@bright-sprout/words/readings';
import type { CropHabit } from '@bright-sprout/core/design';
import {
  fromMillimetres,
  type LengthScale,
  lengthText,
  nearestMark,
  toMillimetres,
} from '@bright-sprout/core/shared';
import { useRef } from 'react';
import { PlantFromSide, PotFromSide } from '../shared/plants/index.ts';
import { rulerMarks } from './ruler-marks.ts';
import './readings.scss';

const TOP = 24;
const SOIL = 452;
const WIDTH = 400;
const RULER_X = 268;
const RULER_WIDTH = 96;

/** What the ruler shows and says. */
export interface RulerProps {
  readonly scale: LengthScale;
  /** Highest mark of the ruler, in its unit. */
  readonly length: number;
  readonly valueMm: number | undefined;
  readonly last: { readonly mm: number; readonly label: string } | undefined;
  readonly habit: CropHabit;
  readonly isDisabled: boolean;
  readonly onChange: (mm: number) => void;
}

/** A ruler in the plan's own unit and precision beside a pot: drag or tap the plant's top, or use the arrow keys. */
export function Ruler({ scale, length, valueMm, last, habit, isDisabled, onChange }: RulerProps) {
  const drawing = useRef<SVGSVGElement>(null);
  const perUnit = (SOIL - TOP) / length;
  const y = (mm: number): number => SOIL - fromMillimetres(mm, scale.unit) * perUnit;
  const set = (amount: number): void => {
    const mark = nearestMark(toMillimetres(Math.max(0, Math.min(length, amount)), scale.unit), scale);
    onChange(toMillimetres(mark, scale.unit));
  };
  const point = (event: React.PointerEvent): void => {
    const frame = drawing.current?.getBoundingClientRect();
    if (!frame || isDisabled) return;
    const drawn = ((event.clientY - frame.top) / frame.height) * 560;
    set((SOIL - drawn) / perUnit);
  };
  const step = (event: React.KeyboardEvent): void => {
    const amount = fromMillimetres(valueMm ?? last?.mm ?? 0, scale.unit);
    const moves: Record<string, number> = {
      ArrowUp: scale.step,
      ArrowRight: scale.step,
      ArrowDown: -scale.step,
      ArrowLeft: -scale.step,
      PageUp: scale.step * 5,
      PageDown: scale.step * -5,
    };
    const move = moves[event.key];
    if (isDisabled || (move === undefined && event.key !== 'Home' && event.key !== 'End')) return;
    event.preventDefault();
    set(event.key === 'Home' ? 0 : event.key === 'End' ? length : amount + (move ?? 0));
  };
  const shownMm = valueMm ?? 0;
  return (
    <svg
      ref={drawing}
      className="ruler"
      viewBox={`0 0 ${WIDTH} 560`}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        point(event);
      }}
      onPointerMove={(event) => event.buttons > 0 && point(event)}
    >
      <g transform={`translate(132 ${SOIL})`}>
        <PotFromSide width={200} depth={96} />
        <PlantFromSide height={SOIL - y(shownMm)} habit={habit} />
      </g>
      <rect
        x={RULER_X}
        y={TOP - 16}
        width={RULER_WIDTH}
        height={SOIL - TOP + 24}
        rx="5"
        fill={COLOURS.wood}
        stroke={COLOURS.woodEdge}
      />
      <text x={RULER_X + RULER_WIDTH / 2} y={SOIL + 30} className="ruler-unit" textAnchor="middle">
        {scale.unit}
      </text>
      {rulerMarks(scale, length, perUnit).map(({ amount, reach, label }) => (
        <g key={amount} transform={`translate(${RULER_X} ${SOIL - amount * perUnit})`}>
          <line x2={reach} stroke={COLOURS.woodInk} strokeWidth={label ? 1.8 : 1} />
          {label && (
            <text x={RULER_WIDTH - 14} y="5" textAnchor="end" className="ruler-number">
              {label}
            </text>
          )}
        </g>
      ))}
      <line x1="12" x2={RULER_X} y1={SOIL} y2={SOIL} stroke={COLOURS.sky} strokeWidth="1.2" />
      <text x="12" y={SOIL - 6} className="ruler-note soil">
        {say('soilLineIsZero')}
      </text>
      {last && last.mm <= toMillimetres(length, scale.unit) && (
        <g transform={`translate(0 ${y(last.mm)})`}>
          <line x1="178" x2={RULER_X} stroke={COLOURS.quiet} strokeDasharray="4 3" />
          <text x={RULER_X - 6} y="-5" textAnchor="end" className="ruler-note">
            {last.label}
          </text>
        </g>
      )}
      <g
        role="slider"
        tabIndex={isDisabled ? -1 : 0}
        aria-label={say('heightOnTheRuler')}
        aria-orientation="vertical"
        aria-valuemin={0}
        aria-valuemax={length}
        aria-valuenow={Number(fromMillimetres(shownMm, scale.unit).toFixed(3))}
        aria-valuetext={valueMm === undefined ? say('notReadYet') : lengthText(valueMm, scale)}
        aria-disabled={isDisabled}
        className={valueMm === undefined ? 'ruler-hand is-waiting' : 'ruler-hand'}
        transform={`translate(0 ${y(shownMm)})`}
        onKeyDown={step}
      >
        <line x1="96" x2={RULER_X + RULER_WIDTH} stroke={COLOURS.ink} strokeWidth="2.2" />
        <circle cx={RULER_X + RULER_WIDTH + 4} r="14" fill={COLOURS.ink} />
        <path
          d={`M${RULER_X + RULER_WIDTH - 1} -3l5 -5l5 5m-10 6l5 5l5 -5`}
          fill="none"
          stroke={COLOURS.card}
          strokeWidth="2"
        />
      </g>
    </svg>
  );
}
