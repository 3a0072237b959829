import type { RandomGenerator } from '../shared/index.ts';

/** What a logger on the windowsill measures. */
export const SENSORS = ['temperature', 'light', 'soil moisture'] as const;
export type Sensor = (typeof SENSORS)[number];

/** The unit of each sensor: °C, klx, and % of saturation. */
export const SENSOR_UNITS: Readonly<Record<Sensor, string>> = {
  temperature: '°C',
  light: 'klx',
  'soil moisture': '%',
};

/** One value of one sensor. */
export interface RoomSample {
  readonly sensor: Sensor;
  readonly value: number;
}

const NIGHT_C = 17;
const DAY_C = 23;
const NOON_KLX = 8;
const WATERED_PERCENT = 78;
const DRIES_A_DAY = 14;
const DAYS_BETWEEN_WATER = 3;

/**
 * What a simulated logger sees at an hour: warm and bright by day, soil drying from one watering to the next.
 * @param hours since midnight of the first day, fractional
 */
export function roomAt(hours: number, chance: RandomGenerator): RoomSample[] {
  const ofDay = hours % 24;
  const sun = Math.max(0, Math.sin(((ofDay - 6.5) / 11.5) * Math.PI)) * (ofDay > 6.5 && ofDay < 18 ? 1 : 0);
  const warmth = (1 + Math.cos(((ofDay - 15) / 12) * Math.PI)) / 2;
  const sinceWater = (hours / 24) % DAYS_BETWEEN_WATER;
  const rounded = (value: number): number => Number(Math.max(0, value).toFixed(1));
  return [
    { sensor: 'temperature', value: rounded(NIGHT_C + (DAY_C - NIGHT_C) * warmth + 0.3 * chance.normal()) },
    { sensor: 'light', value: rounded(NOON_KLX * sun * (0.7 + 0.3 * chance.uniform())) },
    {
      sensor: 'soil moisture',
      value: rounded(WATERED_PERCENT - DRIES_A_DAY * sinceWater + 0.8 * chance.normal()),
    },
  ];
}
