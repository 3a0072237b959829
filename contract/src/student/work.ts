import 'reflect-metadata';
import { PRACTICE_KINDS, type PracticeKind } from '@bright-sprout/core/simulate';
import { IsArray, IsIn, IsInt, IsNumber, IsOptional, IsString, Max, Min } from 'class-validator';
import { IsId, NestedList } from '../shared/index.ts';
import { SOWING_ITEMS, type SowingItem } from '../sow/index.ts';

/** A reading on a drawn ruler: which one, and what was read. */
export class PracticeRequest {
  @IsIn(PRACTICE_KINDS)
  kind: PracticeKind;

  /** Seed that the ruler was drawn from. */
  @IsInt()
  @Min(0)
  @Max(4_294_967_295)
  seed: number;

  @Min(0, { message: 'Give a length of 0 or more.' })
  @Max(2000, { message: 'No ruler here is longer than 2 m.' })
  @IsNumber({}, { message: 'Give a length.' })
  readMm: number;
}

/** How well a class reads rulers; figures in mm, `null` before the first reading. */
export class PracticeView {
  @IsInt()
  n: number;

  /** Mean of read − true: above 0 when the class reads too much. */
  @IsOptional()
  @IsNumber()
  biasMm: number | null;

  /** Root mean square of read − true. */
  @IsOptional()
  @IsNumber()
  typicalMm: number | null;
}

/** A pot to sow, as its team ticks it. */
export class SowingPotView {
  @IsId()
  unitId: string;

  @IsInt()
  number: number;

  @IsString()
  treatment: string;

  @IsInt()
  style: number;

  @IsInt()
  seeds: number;

  @IsOptional()
  @IsNumber()
  depthMm: number | null;

  @IsArray()
  @IsIn(SOWING_ITEMS, { each: true })
  ticked: SowingItem[];

  @IsString()
  note: string;
}

/** One step of sowing day. */
export class SowingStepView {
  @IsString()
  text: string;

  @IsOptional()
  @IsNumber()
  minutes: number | null;
}

/** Sowing day of an experiment as a student sees it. */
export class StudentSowingView {
  @IsId()
  experimentId: string;

  @IsString()
  question: string;

  @NestedList(() => SowingStepView)
  steps: SowingStepView[];

  @NestedList(() => SowingPotView)
  pots: SowingPotView[];
}
