import type { AnalysedFactor, AnalysedTreatment } from '@bright-sprout/core/comparison';
import { IsArray, IsBoolean, IsInt, IsNumber, IsOptional, IsString } from 'class-validator';
import { IsId, NestedList } from '../shared/index.ts';

/** A level of a factor; `amount` where it is one. */
export class AnalysedLevelView {
  @IsString()
  name: string;

  @IsBoolean()
  isControl: boolean;

  @IsOptional()
  @IsNumber()
  amount: number | null;
}

/** A factor. */
export class AnalysedFactorView implements AnalysedFactor {
  @IsString()
  name: string;

  @NestedList(() => AnalysedLevelView)
  levels: AnalysedLevelView[];
}

/** A treatment with its level of each factor, by index. */
export class AnalysedTreatmentView implements AnalysedTreatment {
  @IsId()
  id: string;

  @IsString()
  name: string;

  @IsBoolean()
  isControl: boolean;

  @IsArray()
  @IsInt({ each: true })
  levels: readonly number[];

  @IsString()
  crop: string;

  @IsInt()
  plants: number;
}

/** What was changed, and how the treatments are made of it. */
export class AnalysedDesignView {
  @NestedList(() => AnalysedFactorView)
  factors: readonly AnalysedFactor[];

  @NestedList(() => AnalysedTreatmentView)
  treatments: readonly AnalysedTreatment[];
}
