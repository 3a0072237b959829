import type { Comparison } from '@bright-sprout/core/comparison';
import type { TreatmentView } from '@bright-sprout/contract/plan';
import type { ValueStyle } from '@bright-sprout/core/words';
import { Figure } from './figure.tsx';
import { dotPlot, growthCurves } from './figures.ts';

/** What the charts are drawn from. */
export interface ChartsProps {
  readonly comparison: Comparison;
  readonly treatments: readonly Pick<TreatmentView, 'id' | 'name' | 'style'>[];
  readonly style: ValueStyle;
  readonly variableName: string;
  readonly highlightId: string | undefined;
}

/** Growth curves beside the dots of the chosen day, on one scale of height. */
export default function Charts(props: ChartsProps) {
  return (
    <div className="chart-card">
      <Figure
        label={`${props.variableName} of each pot and the mean of each treatment over days since sowing`}
        figure={growthCurves(props)}
      />
      <Figure
        label={`${props.variableName} of each pot on the chosen day with mean and 95 % interval`}
        figure={dotPlot(props)}
      />
    </div>
  );
}
