import { type CalendarDay, daysBetween } from '../shared/index.ts';
import { designEffect, updatedShare } from '../statistics/index.ts';
import type { Crop, DayRange } from './crop.ts';

/** So many seeds of a lot sown as a test, and so many up. */
export interface GerminationTest {
  readonly on: CalendarDay;
  readonly sown: number;
  readonly up: number;
}

/** One packet: what it says itself. `null` where it says nothing. */
export interface SeedLot {
  readonly id: string;
  readonly cropId: string;
  readonly name: string;
  readonly germinationPercent: number | null;
  readonly depthMm: number | null;
  readonly daysToEmergence: DayRange | null;
  readonly spacingMm: number | null;
  readonly seedsPerPacket: number | null;
  readonly packedOn: CalendarDay | null;
  readonly tests: readonly GerminationTest[];
}

/** Where a germination rate comes from. */
export type RateSource = 'typical' | 'packet' | 'aged' | 'tested' | 'tested_usual' | 'tested_alone';

/** The share of seeds expected to come up, 0–1. `low` and `high` only after tests: their central 95 %. */
export interface GerminationRate {
  readonly share: number;
  readonly low: number | null;
  readonly high: number | null;
  /** Seeds that the rate rests on, the packet's own word among them, once a lot is tested; `null` before. */
  readonly seeds: number | null;
  readonly source: RateSource;
}

/** What is to be expected of the seed in hand: the packet's figures where it has them, else the crop's. */
export interface SeedFacts {
  readonly rate: GerminationRate | null;
  readonly daysToEmergence: DayRange | null;
  readonly depthMm: number | null;
  readonly spacingMm: number | null;
}

/** What a packet's own word counts for, in seeds, once a test is known. */
export const PRIOR_SEEDS = 10;
/** What no word at all counts for: as good as nothing. */
const UNKNOWN_SEEDS = 1;
/** Share of its rate that a packet is taken to lose in each year after the first: a rule of thumb, not a measurement. */
export const LOSS_A_YEAR = 0.1;
const YEAR_DAYS = 365.25;

/**
 * The facts of a crop as this packet has them. Age lowers the packet's rate by a tenth for each full year after
 * the first; the class's own tests then move it as a Beta posterior in which the packet counts for
 * {@link PRIOR_SEEDS} seeds. Each test is one dish: where dishes differ by more than chance, every seed counts for less, those
 * of the packet's word too, so that it never outweighs what was seen.
 * @param on the day on which age is counted
 */
export function seedFacts(crop: Crop, lot: SeedLot | undefined, on: CalendarDay): SeedFacts {
  return {
    rate: rateOf(crop, lot, on),
    daysToEmergence: lot?.daysToEmergence ?? crop.daysToEmergence,
    depthMm: lot?.depthMm ?? crop.sowingDepthMm,
    spacingMm: lot?.spacingMm ?? crop.spacingMm,
  };
}

function rateOf(crop: Crop, lot: SeedLot | undefined, on: CalendarDay): GerminationRate | null {
  const percent = lot?.germinationPercent ?? crop.germinationPercent;
  const tests = lot?.tests ?? [];
  const sown = tests.reduce((sum, test) => sum + test.sown, 0);
  const up = tests.reduce((sum, test) => sum + test.up, 0);
  if (percent === null && sown === 0) return null;
  const years = lot?.packedOn ? Math.floor(daysBetween(lot.packedOn, on) / YEAR_DAYS) : 0;
  const kept = (1 - LOSS_A_YEAR) ** Math.max(0, years - 1);
  const said = ((percent ?? 50) / 100) * kept;
  if (sown > 0) {
    const effect = designEffect(tests);
    const weight = (percent === null ? UNKNOWN_SEEDS : PRIOR_SEEDS) / effect;
    return {
      ...updatedShare(said, weight, up / effect, sown / effect),
      seeds: weight + sown / effect,
      source: lot?.germinationPercent != null ? 'tested' : percent === null ? 'tested_alone' : 'tested_usual',
    };
  }
  const source = kept < 1 ? 'aged' : lot?.germinationPercent == null ? 'typical' : 'packet';
  return { share: said, low: null, high: null, seeds: null, source };
}
