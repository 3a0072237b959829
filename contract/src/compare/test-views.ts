import { TEST_METHODS, type TestLine, type TestMethod } from '@bright-sprout/core/comparison';
import { IsIn, IsNumber, IsOptional } from 'class-validator';
import { Nested, OutcomeBase } from '../shared/index.ts';

/** One test in figures. */
export class TestLineView implements TestLine {
  @IsIn(TEST_METHODS)
  method: TestMethod;

  /** t, F, H, χ², U, W, z or r by the method. */
  @IsOptional()
  @IsNumber()
  statistic: number | null;

  @IsOptional()
  @IsNumber()
  df: number | null;

  /** Second degrees of freedom, of F. */
  @IsOptional()
  @IsNumber()
  df2: number | null;

  /** Two-sided. */
  @IsNumber()
  p: number;
}

/** A test, or the reason why there is none. */
export class TestOutcomeView extends OutcomeBase {
  @IsOptional()
  @Nested(() => TestLineView)
  value?: TestLineView;
}
