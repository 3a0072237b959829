import { say } from '@bright-sprout/words/interface';
import type { Comparison } from '@bright-sprout/core/comparison';
import type { ValueStyle } from '@bright-sprout/core/words';
import { useContext, useMemo } from 'react';
import { ChartScale } from './chart-scale.ts';
import type { ShownGroup } from './figure-base.ts';
import { Figure } from './figure.tsx';
import { CURVES_MARGIN, dotPlot, growthCurves, lastAge } from './figures.ts';

/** What the charts are drawn from. */
export interface ChartsProps {
  readonly comparison: Pick<Comparison, 'unitCurves' | 'treatmentCurves' | 'groups'>;
  readonly treatments: readonly ShownGroup[];
  /** How compared values are written. */
  readonly style: ValueStyle;
  readonly variableName: string;
  /** Units pointed out on the layout; the others are drawn faint. */
  readonly chosen: ReadonlySet<string>;
  /** Numbers of the units, for their names on the curves. */
  readonly numbers?: ReadonlyMap<string, number> | undefined;
}

/** The dots of a day. */
export interface DotsProps extends ChartsProps {
  readonly comparison: ChartsProps['comparison'] & Pick<Comparison, 'age'>;
}

/** From a window of this width on a single chart is as wide as that, in px. */
const WIDE_WINDOW = 1100;
const WIDE_AXIS = 820;

/** Growth curves beside the dots of the chosen day, on one scale of height. */
export default function Charts({
  readStyle,
  isOneChart = false,
  numbers,
  ...props
}: DotsProps & {
  /** How readings are written, where a compared value is something else. */
  readonly readStyle?: ValueStyle;
  /** Compared values are on another scale than readings: only their dots are drawn. */
  readonly isOneChart?: boolean;
}) {
  const { comparison, treatments, style, variableName, chosen } = props;
  const { unitCurves, treatmentCurves, age } = comparison;
  const curves = useMemo(
    () =>
      growthCurves({
        comparison: { unitCurves, treatmentCurves, groups: [] },
        treatments,
        style: readStyle ?? style,
        variableName,
        chosen,
        numbers,
      }),
    [unitCurves, treatmentCurves, treatments, readStyle, style, variableName, chosen, numbers],
  );
  const width = isOneChart && window.innerWidth > WIDE_WINDOW ? WIDE_AXIS : undefined;
  const dots = useMemo(
    () => dotPlot({ comparison, treatments, style, variableName, chosen }, width),
    [comparison, treatments, style, variableName, chosen, width],
  );
  const end = useMemo(() => lastAge({ unitCurves }), [unitCurves]);
  return (
    <div className={isOneChart ? 'chart-card chart-card-one' : 'chart-card'}>
      {!isOneChart && (
        <div className="figure-with-mark">
          <Figure label={say('ofEachPotAndTheMeanOf', { variableName })} figure={curves} />
          {age !== null && age >= 0 && age <= end && <DayLine share={age / end} />}
        </div>
      )}
      <Figure label={say('ofEachPotOnTheChosenDay', { variableName })} figure={dots} />
    </div>
  );
}

/** The day compared, over the curves: it moves with the timeline without the curves being drawn anew. */
function DayLine({ share }: { share: number }) {
  const scale = useContext(ChartScale);
  const [l, r, t, b] = [CURVES_MARGIN.l, CURVES_MARGIN.r, CURVES_MARGIN.t, CURVES_MARGIN.b].map(
    (px) => px * scale,
  ) as [number, number, number, number];
  return (
    <i
      className="day-line"
      aria-hidden="true"
      style={{ top: t, bottom: b, left: `calc(${l}px + (100% - ${l + r}px) * ${share})` }}
    />
  );
}
