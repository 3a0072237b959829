import { gaussLegendre, integrate, normalCdf, normalDensity } from '../statistics/index.ts';
import type { DayRange } from '../design/index.ts';
import { type GrowthSetting, typicalHeight } from './grow-experiment.ts';

const RULE = gaussLegendre(80);
const FAR = 6;
/** The usual days to emergence are taken as the middle 95 % of a log-normal time: four standard deviations wide. */
const WIDTH_IN_SD = 4;

/**
 * P(a seed that comes up is up within `days` of sowing): a log-normal time of which the usual range holds the
 * middle 95 %.
 */
export function chanceUp(days: number, window: DayRange): number {
  if (days <= 0) return 0;
  const { middle, spread } = shapeOf(window);
  if (spread === 0) return days >= middle ? 1 : 0;
  return normalCdf(Math.log(days / middle) / spread);
}

/**
 * P(one seed gives a living plant at least `heightMm` tall `days` after sowing), under the model of
 * `growExperiment`, by quadrature over the time of emergence.
 */
export function chanceReady(days: number, heightMm: number, setting: GrowthSetting): number {
  if (days <= 0) return 0;
  const { middle, spread } = shapeOf(setting.daysToEmergence);
  const sigma = Math.sqrt(Math.log(1 + setting.plantCv ** 2));
  const tallAfter = (emergedAt: number): number => {
    const alive = Math.exp(-setting.deathPerDay * (days - emergedAt));
    if (heightMm <= 0) return alive;
    const typical = typicalHeight(setting, days - emergedAt);
    return alive * (1 - normalCdf((Math.log(heightMm / typical) + sigma ** 2 / 2) / sigma));
  };
  if (spread === 0) return days >= middle ? setting.germination * tallAfter(middle) : 0;
  const last = Math.min(FAR, Math.log(days / middle) / spread);
  if (last <= -FAR) return 0;
  const share = integrate(
    RULE,
    -FAR,
    last,
    (z) => normalDensity(z) * tallAfter(middle * Math.exp(spread * z)),
  );
  return Math.min(1, setting.germination * share);
}

function shapeOf(window: DayRange): { middle: number; spread: number } {
  return {
    middle: Math.sqrt(window.min * window.max),
    spread: Math.log(window.max / window.min) / WIDTH_IN_SD,
  };
}
