import {
  exchangeRoutes,
  OpenBundleRequest,
  OpenFileRequest,
  OpenTableRequest,
  ReadSheetRequest,
  type SheetView,
} from '@bright-sprout/contract/exchange';
import type { ExperimentView } from '@bright-sprout/contract/plan';
import { Body, Controller, Header, Param, StreamableFile } from '@nestjs/common';
import { CurrentTeacher, type KnownTeacher } from '../people/index.ts';
import { PlanService } from '../plan/index.ts';
import { Operation } from '../shared/index.ts';
import { BundleService } from './bundle.service.ts';
import { ExchangeService } from './exchange.service.ts';
import { readSheets, writeSheet } from './sheets.ts';

const SHEET_TYPE = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

/** Files in and out. */
@Controller()
export class ExchangeController {
  constructor(
    private readonly exchange: ExchangeService,
    private readonly bundles: BundleService,
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

  @Operation(exchangeRoutes.exportSheet)
  @Header('Content-Disposition', 'attachment; filename="experiment.xlsx"')
  async exportSheet(@Param('experimentId') id: string): Promise<StreamableFile> {
    return new StreamableFile(await writeSheet(await this.exchange.tidyRows(id)), {
      type: SHEET_TYPE,
    });
  }

  @Operation(exchangeRoutes.exportBundle)
  @Header('Content-Disposition', 'attachment; filename="experiment.zip"')
  async exportBundle(@Param('experimentId') id: string): Promise<StreamableFile> {
    return new StreamableFile(await this.bundles.export(id), { type: 'application/zip' });
  }

  @Operation(exchangeRoutes.readSheets)
  readSheets(@Body() { file }: ReadSheetRequest): Promise<SheetView[]> {
    return readSheets(Buffer.from(file, 'base64'));
  }

  @Operation(exchangeRoutes.openTable)
  async openTable(
    @Param('newExperimentId') id: string,
    @Body() body: OpenTableRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ExperimentView> {
    await this.exchange.openTable(id, body, teacher);
    return this.plans.view(id, teacher);
  }

  @Operation(exchangeRoutes.openBundle)
  async openBundle(
    @Param('newExperimentId') id: string,
    @Body() body: OpenBundleRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ExperimentView> {
    await this.bundles.open(id, body, teacher);
    return this.plans.view(id, teacher);
  }
}
