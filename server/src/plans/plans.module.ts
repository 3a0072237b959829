import { Module } from '@nestjs/common';
import { ClassesModule } from '../classes/index.ts';
import { SharingModule } from '../sharing/index.ts';
import { CalendarController } from './calendar.controller.ts';
import { CalendarService } from './calendar.service.ts';
import { ClassOfExperiment } from './class-of-experiment.service.ts';
import { Drafts } from './drafts.service.ts';
import { InventoryModule } from '../inventory/index.ts';
import { ExperimentStore } from './experiment-store.ts';
import { PlansController } from './plans.controller.ts';
import { PlansService } from './plans.service.ts';
import { TemplatesController } from './templates.controller.ts';
import { TemplatesService } from './templates.service.ts';

/** Plans, templates and calendars. */
@Module({
  imports: [SharingModule, ClassesModule, InventoryModule],
  controllers: [PlansController, TemplatesController, CalendarController],
  providers: [PlansService, Drafts, TemplatesService, CalendarService, ClassOfExperiment, ExperimentStore],
  exports: [PlansService, ExperimentStore],
})
export class PlansModule {}
