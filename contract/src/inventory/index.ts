import type { SeedLotRequest, SeedLotView } from './seed-lot.ts';
import type { CropRequest, CropView } from './crop.ts';
import type { ContainerSizeRequest, ContainerSizeView } from './container-size.ts';
import type { InventoryView } from './inventory.ts';
import { json, request, route } from '../shared/index.ts';

export { ContainerSizeRequest, type ContainerSizeView } from './container-size.ts';
export {
  CropRequest,
  type CropView,
  DayRangeView,
  type MeasuredSpreadView,
  TemperatureRangeView,
} from './crop.ts';
export type { InventoryView } from './inventory.ts';
export { GerminationTestPart, SeedLotRequest, type SeedLotView } from './seed-lot.ts';

/** What a teacher has to plant with: crops, packets of seed, and containers. */
export const inventoryRoutes = {
  inventoryOf: route({
    method: 'GET',
    path: '/experiments/:experimentId/inventory',
    summary: 'What the owner of an experiment has to plant with',
    access: 'see',
    answer: json<InventoryView>(),
  }),
  crops: route({
    method: 'GET',
    path: '/crops',
    summary: 'Crops to choose from: those that ship and the teacher’s own',
    access: 'teacher',
    answer: json<CropView[]>(),
  }),
  saveCrop: route({
    method: 'PUT',
    path: '/crops/:newCropId',
    summary: 'Keep a crop of one’s own, new or changed',
    access: 'teacher',
    body: request<CropRequest>('CropRequest'),
    answer: json<CropView>(),
  }),
  seedLots: route({
    method: 'GET',
    path: '/seed-lots',
    summary: 'The packets of the seed drawer',
    access: 'teacher',
    answer: json<SeedLotView[]>(),
  }),
  saveSeedLot: route({
    method: 'PUT',
    path: '/seed-lots/:newLotId',
    summary: 'Keep a packet with its tests, new or changed',
    access: 'teacher',
    body: request<SeedLotRequest>('SeedLotRequest'),
    answer: json<SeedLotView>(),
  }),
  removeSeedLot: route({
    method: 'DELETE',
    path: '/seed-lots/:lotId',
    summary: 'Take a packet out of the drawer',
    access: 'own',
  }),
  containerSizes: route({
    method: 'GET',
    path: '/container-sizes',
    summary: 'Container sizes that the teacher kept',
    access: 'teacher',
    answer: json<ContainerSizeView[]>(),
  }),
  saveContainerSize: route({
    method: 'PUT',
    path: '/container-sizes/:newSizeId',
    summary: 'Keep a container size',
    access: 'teacher',
    body: request<ContainerSizeRequest>('ContainerSizeRequest'),
    answer: json<ContainerSizeView>(),
  }),
  removeContainerSize: route({
    method: 'DELETE',
    path: '/container-sizes/:sizeId',
    summary: 'Take a container size away',
    access: 'own',
  }),
} as const;
