import {
  ContainerSizeRequest,
  type ContainerSizeView,
  CropRequest,
  type CropView,
  planRoutes,
  SeedLotRequest,
  type SeedLotView,
} from '@bright-sprout/contract/plan';
import { Body, Controller, Param } from '@nestjs/common';
import { CurrentTeacher, type KnownTeacher } from '../people/index.ts';
import { Operation } from '../shared/index.ts';
import { DrawerService } from './drawer.service.ts';

/** The seed drawer. */
@Controller()
export class DrawerController {
  constructor(private readonly drawer: DrawerService) {}

  @Operation(planRoutes.crops)
  crops(@CurrentTeacher() teacher: KnownTeacher): Promise<CropView[]> {
    return this.drawer.crops(teacher);
  }

  @Operation(planRoutes.saveCrop)
  saveCrop(
    @Param('newCropId') id: string,
    @Body() body: CropRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<CropView> {
    return this.drawer.saveCrop(id, body, teacher);
  }

  @Operation(planRoutes.seedLots)
  seedLots(@CurrentTeacher() teacher: KnownTeacher): Promise<SeedLotView[]> {
    return this.drawer.seedLots(teacher);
  }

  @Operation(planRoutes.saveSeedLot)
  saveSeedLot(
    @Param('newLotId') id: string,
    @Body() body: SeedLotRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<SeedLotView> {
    return this.drawer.saveSeedLot(id, body, teacher);
  }

  @Operation(planRoutes.removeSeedLot)
  removeSeedLot(@Param('lotId') id: string): Promise<void> {
    return this.drawer.removeSeedLot(id);
  }

  @Operation(planRoutes.containerSizes)
  containerSizes(@CurrentTeacher() teacher: KnownTeacher): Promise<ContainerSizeView[]> {
    return this.drawer.containerSizes(teacher);
  }

  @Operation(planRoutes.saveContainerSize)
  saveContainerSize(
    @Param('newSizeId') id: string,
    @Body() body: ContainerSizeRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ContainerSizeView> {
    return this.drawer.saveContainerSize(id, body, teacher);
  }

  @Operation(planRoutes.removeContainerSize)
  removeContainerSize(@Param('sizeId') id: string): Promise<void> {
    return this.drawer.removeContainerSize(id);
  }
}
