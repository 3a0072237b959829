import { LENGTH_UNITS, type LengthUnit, type SowingItem } from '@bright-sprout/core/shared';
import type { Id } from '../shared/index.ts';
import 'reflect-metadata';
import { PRACTICE_KINDS, type PracticeKind } from '@bright-sprout/core/simulate';
import { IsOptional, Max, Min } from 'class-validator';
import { OneOf, Quantity, Whole } from '../shared/index.ts';

/** A reading on a drawn ruler: which one, and what was read. */
export class PracticeRequest {
  @OneOf(PRACTICE_KINDS) kind: PracticeKind;

  /** Seed that the ruler was drawn from. */
  @Whole(0, 4_294_967_295) seed: number;

  /** The class's own ruler that it was drawn on; half centimetres when left out. */
  @IsOptional() @OneOf(LENGTH_UNITS) unit?: LengthUnit;

  @IsOptional() @Min(0.05) @Max(100) step?: number;
  @Quantity(0, 2000, 'a length') readMm: number;
}

/** How well a class reads rulers; figures in mm, `null` before the first reading. */
export interface PracticeView {
  n: number;
  /** Mean of read − true: above 0 when the class reads too much. */
  biasMm: number | null;
  /** Root mean square of read − true. */
  typicalMm: number | null;
  /** Students who read the newest few rulers with care. */
  careful: CarefulReaderView[];
}

/** A student who reads a ruler with care. */
export interface CarefulReaderView {
  studentId: Id;
  displayName: string;
}

/** Why a pot whose code was read is not among those a student reads today. */
export const POT_NOTES = ['other_team', 'not_sown', 'dead', 'removed', 'finished'] as const;
export type PotNote = (typeof POT_NOTES)[number];

/** A pot of the class that the student at the device does not read today. */
export interface OtherPotView {
  number: number;
  question: string;
  treatment: string;
  style: number;
  /** Whose it is; empty for nobody's. */
  team: string;
  why: PotNote;
}

/** A pot to sow, as its team ticks it. */
export interface SowingPotView {
  unitId: Id;
  number: number;
  treatment: string;
  style: number;
  /** Empty where it is not known. */
  crop: string;
  propagule: string;
  seeds: number;
  depthMm: number | null;
  /** What is given or set for it alone, in words; empty for nothing. */
  gets: string;
  /** The same as it is done on sowing day. */
  sowingGets: string;
  /** What is ticked of it. */
  items: readonly SowingItem[];
  /** Water at each watering in mL; 0 where nothing is watered. */
  waterMl: number;
  ticked: SowingItem[];
  note: string;
}

/** One step of sowing day. */
export interface SowingStepView {
  text: string;
  minutes: number | null;
}

/** Sowing day of an experiment as a student sees it. */
export interface StudentSowingView {
  experimentId: Id;
  question: string;
  steps: SowingStepView[];
  pots: SowingPotView[];
}
