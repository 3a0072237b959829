import { Module } from '@nestjs/common';
import { InventoryController } from './inventory.controller.ts';
import { InventoryService } from './inventory.service.ts';

/** What a teacher has to plant with. */
@Module({ controllers: [InventoryController], providers: [InventoryService], exports: [InventoryService] })
export class InventoryModule {}
