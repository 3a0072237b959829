import { Module } from '@nestjs/common';
import { ClassesModule } from '../classes/index.ts';
import { CalendarController } from './calendar.controller.ts';
import { CalendarService } from './calendar.service.ts';
import { ClassOfExperiment } from './class-of-experiment.service.ts';
import { Drafts } from './drafts.service.ts';
import { DrawerController } from './drawer.controller.ts';
import { DrawerService } from './drawer.service.ts';
import { ExperimentStore } from './experiment-store.ts';
import { PlanController } from './plan.controller.ts';
import { PlanService } from './plan.service.ts';
import { TemplatesController } from './templates.controller.ts';
import { TemplatesService } from './templates.service.ts';

/** Crops, packets, plans, templates and calendars. */
@Module({
  imports: [ClassesModule],
  controllers: [PlanController, DrawerController, TemplatesController, CalendarController],
  providers: [
    PlanService,
    Drafts,
    DrawerService,
    TemplatesService,
    CalendarService,
    ClassOfExperiment,
    ExperimentStore,
  ],
  exports: [PlanService, ExperimentStore],
})
export class PlanModule {}
