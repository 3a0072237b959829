import type { PlantOnDay } from '@bright-sprout/core/lessons';
import type { CropHabit } from '@bright-sprout/core/design';
import type { ValueStyle } from '@bright-sprout/core/words';
import { memo } from 'react';
import { PlantFromSide, PotFromSide, MarkShape } from '../../shared/plants/index.ts';
import { COLOURS } from '../../shared/ui/index.ts';
import { bareHeight, type DrawingScale } from '../drawing-scale.ts';

/** Size of the drawing in its own units; the plants stand between the ruler and the right edge. */
export const WIDE = 1400;
export const TALL = 620;
const SOIL = 490;
const TOP = 44;
const LEFT = 110;
const RIGHT = 20;
const RULER = { x: 22, width: 54 } as const;
const WIDEST_POT = 56;
const LABEL_SLOT = 44;
const MARK_SLOT = 26;
const NUMBER_SLOT = 20;
/** Below this a plant is a stem with leaves in one stroke: hundreds of them move at once. */
const NARROW_SLOT = 22;

/** Where each plant of a row stands. */
export function slotsOf(count: number): { slot: number; x: (index: number) => number } {
  const slot = (WIDE - LEFT - RIGHT) / Math.max(1, count);
  return { slot, x: (index) => LEFT + slot * (index + 0.5) };
}

/** Plants of a day drawn to one scale on one shelf, a ruler at its end. Each says what it is; none stands for 0. */
export function LineUpDrawing({
  row,
  scale,
  style,
  habit,
  styles,
  hidesTreatments,
  texts,
}: {
  /** In the order of the row. */
  row: readonly PlantOnDay[];
  scale: DrawingScale;
  style: ValueStyle;
  habit: CropHabit;
  /** Number of the mark of each treatment. */
  styles: ReadonlyMap<string, number>;
  hidesTreatments: boolean;
  /** What a plant without a height of the day is, by unit. */
  texts: ReadonlyMap<string, string>;
}) {
  const { slot, x } = slotsOf(row.length);
  const perUnit = (SOIL - TOP) / scale.top;
  const pot = Math.min(WIDEST_POT, slot * 0.8);
  const places = new Map(row.map(({ unit }, index) => [unit.id, x(index)]));
  // Drawn in one order whatever the row's, so that each plant keeps its element and is seen to move.
  const drawn = [...row].sort((a, b) => a.unit.number - b.unit.number);
  return (
    <svg className="line-up-drawing" viewBox={`0 0 ${WIDE} ${TALL}`} aria-hidden="true">
      <LineUpRuler scale={scale} perUnit={perUnit} />
      <rect x={LEFT - 24} y={SOIL + 50} width={WIDE - LEFT + 14} height="13" rx="5" fill={COLOURS.edge} />
      {drawn.map((one) => (
        <LineUpPlant
          key={one.unit.id}
          one={one}
          x={places.get(one.unit.id) ?? 0}
          slot={slot}
          pot={pot}
          perUnit={perUnit}
          style={style}
          habit={habit}
          mark={hidesTreatments ? null : (styles.get(one.unit.groupId) ?? 0)}
          text={texts.get(one.unit.id) ?? ''}
        />
      ))}
    </svg>
  );
}

function LineUpRuler({ scale, perUnit }: { scale: DrawingScale; perUnit: number }) {
  const { x, width } = RULER;
  return (
    <g>
      {scale.marks
        .filter(({ label }) => label !== '')
        .map(({ value }) => (
          <line
            key={value}
            x1={x + width}
            x2={WIDE - RIGHT}
            y1={SOIL - value * perUnit}
            y2={SOIL - value * perUnit}
            stroke={COLOURS.line}
            strokeWidth="1.5"
          />
        ))}
      <rect
        x={x}
        y={SOIL - scale.top * perUnit - 14}
        width={width}
        height={scale.top * perUnit + 26}
        rx="6"
        fill={COLOURS.wood}
        stroke={COLOURS.woodEdge}
        strokeWidth="1.5"
      />
      {scale.marks.map(({ value, label }) => (
        <g key={value} transform={`translate(${x} ${SOIL - value * perUnit})`}>
          <line x2={label === '' ? 12 : 20} stroke={COLOURS.woodInk} strokeWidth={label === '' ? 1.4 : 2.4} />
          {label !== '' && (
            <text x={width - 7} y="6" textAnchor="end" className="line-up-number">
              {label}
            </text>
          )}
        </g>
      ))}
      <text x={x + width / 2} y={SOIL + 38} textAnchor="middle" className="line-up-unit">
        {scale.unit}
      </text>
    </g>
  );
}

const LineUpPlant = memo(function LineUpPlant({
  one,
  x,
  slot,
  pot,
  perUnit,
  style,
  habit,
  mark,
  text,
}: {
  one: PlantOnDay;
  x: number;
  slot: number;
  pot: number;
  perUnit: number;
  style: ValueStyle;
  habit: CropHabit;
  /** `null` while treatments are hidden. */
  mark: number | null;
  text: string;
}) {
  const { plant, isOfDay, unit } = one;
  const value = plant.state === 'emerged' ? plant.value : null;
  const height = value === null ? 0 : value * perUnit;
  const isGone = plant.state === 'dead' || plant.state === 'removed';
  return (
    <g className="line-up-plant" style={{ transform: `translate(${x}px, ${SOIL}px)` }}>
      {value !== null && (
        <g
          opacity={isOfDay ? 1 : 0.42}
          transform={slot < NARROW_SLOT ? undefined : `scale(${Math.min(1, slot / 90)} 1)`}
        >
          {slot < NARROW_SLOT ? (
            <NarrowPlant height={height} slot={slot} />
          ) : (
            <MemoPlant height={height} habit={habit} />
          )}
        </g>
      )}
      {plant.state === 'emerged' && value === null && <Sprout />}
      {slot < NARROW_SLOT ? (
        <rect x={-pot / 2} width={pot} height="40" fill={COLOURS.terracotta} opacity={isGone ? 0.45 : 1} />
      ) : (
        <g opacity={isGone ? 0.45 : 1}>
          <PotFromSide width={pot} depth={Math.min(50, pot * 0.95)} />
        </g>
      )}
      {plant.state === 'dead' && (
        <path
          d="M-3 0c2 -20 8 -26 15 -20m-6 -4c5 0 8 4 7 9"
          fill="none"
          stroke={COLOURS.bark}
          strokeWidth="3.5"
          strokeLinecap="round"
        />
      )}
      {plant.state === 'removed' && (
        <path d="M-8 -18 8 -4M8 -18 -8 -4" stroke={COLOURS.quiet} strokeWidth="3" strokeLinecap="round" />
      )}
      {slot >= MARK_SLOT && mark !== null && <PotMark style={mark} size={Math.min(1, pot / WIDEST_POT)} />}
      {value !== null && isOfDay && slot >= LABEL_SLOT && (
        <text y={-height - 14} textAnchor="middle" className="line-up-value">
          {bareHeight(value, style)}
        </text>
      )}
      {(value === null || !isOfDay) && slot >= LABEL_SLOT && (
        <StateText text={text} y={value === null ? -26 : -height - 14} />
      )}
      {slot >= NUMBER_SLOT && (
        <text y="92" textAnchor="middle" className="line-up-pot">
          {unit.number}
        </text>
      )}
    </g>
  );
});

const MemoPlant = memo(PlantFromSide);

/** A plant among hundreds: one shape, as tall as the others to the same scale. */
const NarrowPlant = memo(function NarrowPlant({ height, slot }: { height: number; slot: number }) {
  const reach = Math.max(2, slot * 0.42);
  const leaves = [0.5, 0.78, 0.98].map((share) => {
    const y = -height * share;
    return `M0 ${y}l${-reach} -3l${reach} 6l${reach} -6Z`;
  });
  return <path d={`M-1 0V${-height}H1V0Z${leaves.join('')}`} fill={COLOURS.leaf} />;
});

/** A state over its pot, in as many lines as it has words, from the bottom up. */
function StateText({ text, y }: { text: string; y: number }) {
  const lines = text.split(' ');
  return (
    <text y={y - 17 * (lines.length - 1)} textAnchor="middle" className="line-up-state">
      {lines.map((line, index) => (
        <tspan key={index} x="0" dy={index === 0 ? 0 : 17}>
          {line}
        </tspan>
      ))}
    </text>
  );
}

/** Up, and not measured: a sprout of no height. */
function Sprout() {
  return (
    <path
      d="M0 0v-10m0 0c-8 0 -11 -5 -11 -9c7 0 11 4 11 9c0 -5 4 -9 11 -9c0 4 -3 9 -11 9"
      fill={COLOURS.leafLight}
      stroke={COLOURS.leaf}
      strokeWidth="2"
      strokeDasharray="3 2"
    />
  );
}

/** A mark on a white disc, so that no treatment's colour meets the clay. */
function PotMark({ style, size }: { style: number; size: number }) {
  return (
    <g transform={`translate(0 29) scale(${size})`}>
      <circle r="15" fill={COLOURS.white} />
      <g transform="translate(-10.5 -10.5) scale(.875)">
        <MarkShape style={style} />
      </g>
    </g>
  );
}
