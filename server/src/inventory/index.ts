export { Crop } from './crop.entity.ts';
export { cropView } from './crop-view.ts';
export { ContainerSize, SeedLot } from './inventory.entities.ts';
export { InventoryModule } from './inventory.module.ts';
export { InventoryService } from './inventory.service.ts';
export { adoptInventory } from './adopt-inventory.ts';
export { resolvePlan } from './resolve-plan.ts';
