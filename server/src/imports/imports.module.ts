import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/index.ts';
import { PlansModule } from '../plans/index.ts';
import { ReadingsModule } from '../readings/index.ts';
import { UploadsModule } from '../uploads/index.ts';
import { ExampleService } from './example.service.ts';
import { BundleService } from './bundle.service.ts';
import { ImportsController } from './imports.controller.ts';
import { ImportsService } from './imports.service.ts';

/** Files in and out. */
@Module({
  imports: [AccountsModule, PlansModule, ReadingsModule, UploadsModule],
  controllers: [ImportsController],
  providers: [ExampleService, ImportsService, BundleService],
  exports: [ImportsService],
})
export class ImportsModule {}
