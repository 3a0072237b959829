import 'reflect-metadata';
import { CONTAINER_KINDS, type ContainerKind } from '@bright-sprout/core/design';
import { type Id, OneOf, Quantity, ShortText, Whole } from '../shared/index.ts';

/** A container size of one's own. */
export class ContainerSizeRequest {
  @ShortText(40, 'Name it') name: string;
  @OneOf(CONTAINER_KINDS) kind: ContainerKind;
  @Whole(1, 40) rows: number;
  @Whole(1, 40) columns: number;
  @Quantity(0, 20_000) cellMl: number;
}

/** A container size that was kept. */
export interface ContainerSizeView extends ContainerSizeRequest {
  id: Id;
}
