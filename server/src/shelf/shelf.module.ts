import { type ExperimentCard, shelfRoutes } from '@bright-sprout/contract/shelf';
import { Controller, Module } from '@nestjs/common';
import { CurrentTeacher, type KnownTeacher } from '../people/index.ts';
import { Operation } from '../shared/index.ts';
import { ShelfService } from './shelf.service.ts';

/** The shelf. */
@Controller()
export class ShelfController {
  constructor(private readonly shelf: ShelfService) {}

  @Operation(shelfRoutes.shelf)
  cards(@CurrentTeacher() teacher: KnownTeacher): Promise<ExperimentCard[]> {
    return this.shelf.cards(teacher);
  }
}

/** The shelf. */
@Module({ controllers: [ShelfController], providers: [ShelfService] })
export class ShelfModule {}
