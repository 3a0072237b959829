import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.ts';
import { SharingModule } from '../sharing/index.ts';
import { ClassesController } from './classes.controller.ts';
import { ClassesService } from './classes.service.ts';

/** Classes, teams and students. */
@Module({
  imports: [AccountsModule, SharingModule],
  controllers: [ClassesController],
  providers: [ClassesService],
  exports: [ClassesService],
})
export class ClassesModule {}
