import type { LengthUnit } from '@bright-sprout/core/shared';
import { IsIn, IsNumber, Max, Min } from 'class-validator';

/** A ruler's unit and the smallest step that is read, in that unit. */
export class MeasuringScale {
  @IsIn(['mm', 'cm', 'in'], { message: 'Choose a unit.' })
  unit: LengthUnit;

  @IsNumber({}, { message: 'Choose a precision.' })
  @Min(0.05)
  @Max(100)
  step: number;
}
