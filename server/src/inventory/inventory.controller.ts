import {
  ContainerSizeRequest,
  type ContainerSizeView,
  CropRequest,
  type CropView,
  inventoryRoutes,
  type InventoryView,
  SeedLotRequest,
  type SeedLotView,
} from '@bright-sprout/contract/inventory';
import { Body, Controller, Param } from '@nestjs/common';
import { CurrentTeacher, type KnownTeacher } from '../accounts/index.ts';
import { Operation } from '../shared/index.ts';
import { InventoryService } from './inventory.service.ts';

/** The inventory. */
@Controller()
export class InventoryController {
  constructor(private readonly inventory: InventoryService) {}

  @Operation(inventoryRoutes.inventoryOf)
  ofExperiment(@Param('experimentId') experimentId: string): Promise<InventoryView> {
    return this.inventory.ofExperiment(experimentId);
  }

  @Operation(inventoryRoutes.crops)
  crops(@CurrentTeacher() teacher: KnownTeacher): Promise<CropView[]> {
    return this.inventory.crops(teacher);
  }

  @Operation(inventoryRoutes.saveCrop)
  saveCrop(
    @Param('newCropId') id: string,
    @Body() body: CropRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<CropView> {
    return this.inventory.saveCrop(id, body, teacher);
  }

  @Operation(inventoryRoutes.seedLots)
  seedLots(@CurrentTeacher() teacher: KnownTeacher): Promise<SeedLotView[]> {
    return this.inventory.seedLots(teacher);
  }

  @Operation(inventoryRoutes.saveSeedLot)
  saveSeedLot(
    @Param('newLotId') id: string,
    @Body() body: SeedLotRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<SeedLotView> {
    return this.inventory.saveSeedLot(id, body, teacher);
  }

  @Operation(inventoryRoutes.removeSeedLot)
  removeSeedLot(@Param('lotId') id: string): Promise<void> {
    return this.inventory.removeSeedLot(id);
  }

  @Operation(inventoryRoutes.containerSizes)
  containerSizes(@CurrentTeacher() teacher: KnownTeacher): Promise<ContainerSizeView[]> {
    return this.inventory.containerSizes(teacher);
  }

  @Operation(inventoryRoutes.saveContainerSize)
  saveContainerSize(
    @Param('newSizeId') id: string,
    @Body() body: ContainerSizeRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ContainerSizeView> {
    return this.inventory.saveContainerSize(id, body, teacher);
  }

  @Operation(inventoryRoutes.removeContainerSize)
  removeContainerSize(@Param('sizeId') id: string): Promise<void> {
    return this.inventory.removeContainerSize(id);
  }
}
