import Plotly from 'plotly.js';
import { useEffect, useRef } from 'react';
import type { FigureData } from './figures.ts';

/** A chart. Loaded only where one is shown, as the drawing package is large. */
export function Figure({ figure, label }: { figure: FigureData; label: string }) {
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
