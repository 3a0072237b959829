import { exchangeRoutes, OpenFileRequest } from '@bright-sprout/contract/exchange';
import type { ExperimentView } from '@bright-sprout/contract/plan';
import { Body, Controller, Header, Param } from '@nestjs/common';
import { CurrentTeacher, type KnownTeacher } from '../people/index.ts';
import { PlanService } from '../plan/index.ts';
import { Operation } from '../shared/index.ts';
import { ExchangeService } from './exchange.service.ts';

/** Files in and out. */
@Controller()
export class ExchangeController {
  constructor(
    private readonly exchange: ExchangeService,
    private readonly plans: PlanService,
  ) {}

  @Operation(exchangeRoutes.exportTidy)
  @Header('Content-Disposition', 'attachment; filename="experiment.csv"')
  exportTidy(@Param('experimentId') id: string): Promise<string> {
    return this.exchange.tidyCsv(id);
  }

  @Operation(exchangeRoutes.openTidy)
  async openTidy(
    @Param('newExperimentId') id: string,
    @Body() body: OpenFileRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ExperimentView> {
    await this.exchange.openTidy(id, body, teacher);
    return this.plans.view(id, teacher);
  }
}
