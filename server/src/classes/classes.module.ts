import { Module } from '@nestjs/common';
import { ClassesController } from './classes.controller.ts';
import { ClassesService } from './classes.service.ts';

/** Classes, teams and students. */
@Module({
  controllers: [ClassesController],
  providers: [ClassesService],
  exports: [ClassesService],
})
export class ClassesModule {}
