import { type ExperimentView, planRoutes, TaskRequest } from '@bright-sprout/contract/plans';
import { Body, Controller, Header, Param } from '@nestjs/common';
import { CurrentTeacher, type KnownTeacher } from '../accounts/index.ts';
import { Operation } from '../shared/index.ts';
import { CalendarService } from './calendar.service.ts';
import { PlansService } from './plans.service.ts';

/** The calendar of an experiment. */
@Controller()
export class CalendarController {
  constructor(
    private readonly calendar: CalendarService,
    private readonly plans: PlansService,
  ) {}

  @Operation(planRoutes.saveTask)
  async saveTask(
    @Param('experimentId') id: string,
    @Param('taskKey') key: string,
    @Body() body: TaskRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ExperimentView> {
    await this.calendar.saveTask(id, key, body);
    return this.plans.view(id, teacher);
  }

  @Operation(planRoutes.calendar)
  @Header('Content-Disposition', 'attachment; filename="calendar.ics"')
  file(@Param('experimentId') id: string): Promise<string> {
    return this.calendar.file(id);
  }
}
