import { lazy } from 'react';

export { ChartScale } from './chart-scale.ts';
export type { ChartTable } from './chart-card.tsx';
export { boxFigure, studyFigure, teamsFigure } from './class-figures.ts';
export { cumulativeFigure, waitingFigure } from './emergence-figures.ts';
export { type FigureData, type ShownGroup } from './figure-base.ts';
export { CURVE_AXES, type CurveAxis, dayMark, growthCurves, type Placing } from './figures.ts';
export { changeBars, fittedCurves } from './growth-figures.ts';
export {
  differencesFigure,
  doseFigure,
  interactionFigure,
  shapeFigure,
  shuffleFigure,
} from './treatment-figures.ts';

/** Fetches what draws charts before one is shown, where one soon will be. */
export const loadCharts = () => import('./charts.tsx');

/** Charts bring a large drawing package along, so they are loaded where one is shown. */
export const ChartCard = lazy(() => import('./chart-card.tsx'));
export const Charts = lazy(loadCharts);
export const RoomChart = lazy(() => import('./room-chart.tsx'));
