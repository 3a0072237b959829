import type { ContainerSizeView } from './container-size.ts';
import type { CropView } from './crop.ts';
import type { SeedLotView } from './seed-lot.ts';

/** All that a plan may name of its owner's: crops that ship and own ones, packets, container sizes. */
export interface InventoryView {
  crops: CropView[];
  seedLots: SeedLotView[];
  containerSizes: ContainerSizeView[];
}
