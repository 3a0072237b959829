import {
  ExportQuery,
  importRoutes,
  OpenFileRequest,
  OpenTableRequest,
} from '@bright-sprout/contract/imports';
import type { ExperimentView } from '@bright-sprout/contract/plans';
import { UploadPart } from '@bright-sprout/contract/uploads';
import { Body, Controller, Header, Param, Query, StreamableFile } from '@nestjs/common';
import { AuditService, CurrentTeacher, type KnownTeacher } from '../accounts/index.ts';
import { PlansService } from '../plans/index.ts';
import { type HeavyTask, HeavyWork, jsonFile, Operation } from '../shared/index.ts';
import { UploadsService } from '../uploads/index.ts';
import { BundleService } from './bundle.service.ts';
import { ExampleService } from './example.service.ts';
import { exchangeTasks, type ToExport, type ToOpen } from './heavy-tasks.ts';

const SHEET_TYPE = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

/** Files in and out. */
@Controller()
export class ImportsController {
  constructor(
    private readonly heavy: HeavyWork,
    private readonly bundles: BundleService,
    private readonly example: ExampleService,
    private readonly audit: AuditService,
    private readonly uploads: UploadsService,
    private readonly plans: PlansService,
  ) {}

  @Operation(importRoutes.exportTidy)
  @Header('Content-Disposition', 'attachment; filename="experiment.csv"')
  async exportTidy(
    @Param('experimentId') id: string,
    @Query() query: ExportQuery,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<StreamableFile> {
    await this.audit.note('exported', teacher.id, id);
    return this.#file(exchangeTasks.tidyCsv, exportOf(id, query), 'text/csv; charset=utf-8');
  }

  @Operation(importRoutes.exportSheet)
  @Header('Content-Disposition', 'attachment; filename="experiment.xlsx"')
  async exportSheet(
    @Param('experimentId') id: string,
    @Query() query: ExportQuery,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<StreamableFile> {
    await this.audit.note('exported', teacher.id, id);
    return this.#file(exchangeTasks.tidySheet, exportOf(id, query), SHEET_TYPE);
  }

  @Operation(importRoutes.exportBundle)
  @Header('Content-Disposition', 'attachment; filename="experiment.zip"')
  async exportBundle(
    @Param('experimentId') id: string,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<StreamableFile> {
    await this.audit.note('exported', teacher.id, id);
    const texts = await this.heavy.bytes(exchangeTasks.bundle, id);
    return new StreamableFile(this.bundles.stream(texts), { type: 'application/zip' });
  }

  @Operation(importRoutes.readSheets)
  async readSheets(
    @Body() request: UploadPart,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<StreamableFile> {
    const sheets = await this.heavy.bytes(exchangeTasks.readSheets, { request: { ...request }, teacher });
    await this.uploads.forget(teacher.id, request);
    return jsonFile(sheets);
  }

  @Operation(importRoutes.openExample)
  async openExample(
    @Param('newExperimentId') id: string,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ExperimentView> {
    await this.example.open(id, teacher);
    return this.plans.view(id, teacher);
  }

  @Operation(importRoutes.openTidy)
  openTidy(
    @Param('newExperimentId') id: string,
    @Body() body: OpenFileRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ExperimentView> {
    return this.#open(exchangeTasks.openTidy, { id, request: { ...body }, teacher });
  }

  @Operation(importRoutes.openTable)
  openTable(
    @Param('newExperimentId') id: string,
    @Body() body: OpenTableRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ExperimentView> {
    return this.#open(exchangeTasks.openTable, { id, request: structuredClone(body), teacher });
  }

  @Operation(importRoutes.openBundle)
  openBundle(
    @Param('newExperimentId') id: string,
    @Body() body: OpenFileRequest,
    @CurrentTeacher() teacher: KnownTeacher,
  ): Promise<ExperimentView> {
    return this.#open(exchangeTasks.openBundle, { id, request: { ...body }, teacher });
  }

  async #file(
    task: HeavyTask<ToExport, Uint8Array>,
    wanted: ToExport,
    type: string,
  ): Promise<StreamableFile> {
    return new StreamableFile(await this.heavy.bytes(task, wanted), { type });
  }

  async #open<Request extends UploadPart>(
    task: HeavyTask<ToOpen<Request>, void>,
    wanted: ToOpen<Request>,
  ): Promise<ExperimentView> {
    await this.heavy.value(task, wanted);
    await this.uploads.forget(wanted.teacher.id, wanted.request);
    return this.plans.view(wanted.id, wanted.teacher);
  }
}

function exportOf(id: string, { names }: ExportQuery): ToExport {
  return { id, hasNames: names === 'yes' };
}
