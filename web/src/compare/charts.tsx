import type { ComparisonView } from '@bright-sprout/contract/compare';
import type { TreatmentView } from '@bright-sprout/contract/plan';
import type { ValueStyle } from '@bright-sprout/core/words';
import Plotly from 'plotly.js';
import { useEffect, useRef } from 'react';
import { dotPlot, growthCurves } from './figures.ts';

/** What the charts are drawn from. */
export interface ChartsProps {
  readonly comparison: ComparisonView;
  readonly treatments: readonly TreatmentView[];
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

function Figure({ figure, label }: { figure: ReturnType<typeof growthCurves>; label: string }) {
  const frame = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const element = frame.current;
    if (element)
      void Plotly.react(element, figure.data, figure.layout, { displayModeBar: false, responsive: true });
  });
  useEffect(() => {
    const element = frame.current;
    return () => {
      if (element) Plotly.purge(element);
    };
  }, []);
  return <div ref={frame} className="figure" role="img" aria-label={label} />;
}
