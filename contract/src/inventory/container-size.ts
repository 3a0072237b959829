import 'reflect-metadata';
import { CONTAINER_KINDS, type ContainerKind } from '@bright-sprout/core/design';
import { IsIn, IsInt, IsNumber, Length, Max, Min } from 'class-validator';
import { type Id, Trimmed } from '../shared/index.ts';

/** A container size of one's own. */
export class ContainerSizeRequest {
  @Trimmed()
  @Length(1, 40, { message: 'Name it in up to 40 characters.' })
  name: string;

  @IsIn(CONTAINER_KINDS)
  kind: ContainerKind;

  @Min(1)
  @Max(40)
  @IsInt()
  rows: number;

  @Min(1)
  @Max(40)
  @IsInt()
  columns: number;

  @Min(0)
  @Max(20_000)
  @IsNumber()
  cellMl: number;
}

/** A container size that was kept. */
export interface ContainerSizeView extends ContainerSizeRequest {
  id: Id;
}
