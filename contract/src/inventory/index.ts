import type { SeedLotRequest, SeedLotView } from './seed-lot.ts';
import type { CropRequest, CropView } from './crop.ts';
import type { ContainerSizeRequest, ContainerSizeView } from './container-size.ts';
import type { InventoryView } from './inventory.ts';
import { own, see, teacher } from '../shared/index.ts';

export { ContainerSizeRequest, type ContainerSizeView } from './container-size.ts';
export * from './crop.ts';
export type { InventoryView } from './inventory.ts';
export { GerminationTestPart, SeedLotRequest, type SeedLotView } from './seed-lot.ts';

/** What a teacher has to plant with: crops, packets of seed, and containers. */
export const inventoryRoutes = {
  inventoryOf: see
    .get('/experiments/:experimentId/inventory', 'What the owner of an experiment has to plant with')
    .answers<InventoryView>(),
  crops: teacher
    .get('/crops', 'Crops to choose from: those that ship and the teacher’s own')
    .answers<CropView[]>(),
  saveCrop: teacher
    .put('/crops/:newCropId', 'Keep a crop of one’s own, new or changed')
    .takes<CropRequest>('CropRequest')
    .answers<CropView>(),
  seedLots: teacher.get('/seed-lots', 'The packets of the seed drawer').answers<SeedLotView[]>(),
  saveSeedLot: teacher
    .put('/seed-lots/:newLotId', 'Keep a packet with its tests, new or changed')
    .takes<SeedLotRequest>('SeedLotRequest')
    .answers<SeedLotView>(),
  removeSeedLot: own.remove('/seed-lots/:lotId', 'Take a packet out of the drawer'),
  containerSizes: teacher
    .get('/container-sizes', 'Container sizes that the teacher kept')
    .answers<ContainerSizeView[]>(),
  saveContainerSize: teacher
    .put('/container-sizes/:newSizeId', 'Keep a container size')
    .takes<ContainerSizeRequest>('ContainerSizeRequest')
    .answers<ContainerSizeView>(),
  removeContainerSize: own.remove('/container-sizes/:sizeId', 'Take a container size away'),
} as const;
