import { COLOURS } from '../ui/tokens.ts';
import Plotly from 'plotly.js';
import { useContext, useEffect, useRef } from 'react';
import { ChartScale, enlarged } from './chart-scale.ts';
import type { FigureData } from './figure-base.ts';

const PICTURE = { width: 1200, height: 700 } as const;

/** A chart. Loaded only where one is shown, as the drawing package is large. */
export function Figure({ figure, label }: { figure: FigureData; label: string }) {
  const frame = useRef<HTMLDivElement>(null);
  const scale = useContext(ChartScale);
  useEffect(() => {
    const element = frame.current;
    if (!element) return;
    const { data, layout } = enlarged(figure, scale);
    void Plotly.react(element, data, layout, {
      displayModeBar: false,
      responsive: true,
    });
  }, [figure, scale]);
  useEffect(() => {
    const element = frame.current;
    return () => {
      if (element) Plotly.purge(element);
    };
  }, []);
  return <div ref={frame} className="figure" role="img" aria-label={label} />;
}

/** Downloads a chart as a picture on white. */
export function downloadPicture(
  figure: FigureData,
  format: 'png' | 'svg',
  filename: string,
): Promise<string> {
  const layout = { ...figure.layout, paper_bgcolor: COLOURS.white, plot_bgcolor: COLOURS.white };
  return Plotly.downloadImage(
    { data: figure.data, layout },
    { format, filename, ...PICTURE, ...(format === 'png' ? { scale: 2 } : {}) },
  );
}
