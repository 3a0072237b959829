import type { CareView } from '@bright-sprout/contract/care';
import type { DrawingPart, EntryView } from '@bright-sprout/contract/journal';
import type { TickView } from '@bright-sprout/contract/sowing';
import {
  PracticeRequest,
  type PracticeView,
  StudentCareRequest,
  StudentEntryRequest,
  studentRoutes,
  type StudentSowingView,
  StudentTickRequest,
} from '@bright-sprout/contract/student';
import { Body, Controller, Param, StreamableFile } from '@nestjs/common';
import { IsNull } from 'typeorm';
import { CareService } from '../care/index.ts';
import { JournalService, mediaTypeOf } from '../journal/index.ts';
import { notFound, Operation } from '../shared/index.ts';
import { UploadsService } from '../uploads/index.ts';
import { CurrentDevice } from './current-device.ts';
import type { JoinedDevice } from './devices.service.ts';
import { OwnWorkService } from './own-work.service.ts';
import { PracticeService } from './practice.service.ts';
import { StudentSowingService } from './student-sowing.service.ts';

/** What students do beside reading: sow, care, draw, practise. */
@Controller()
export class StudentWorkController {
  constructor(
    private readonly work: OwnWorkService,
    private readonly sowings: StudentSowingService,
    private readonly cares: CareService,
    private readonly journal: JournalService,
    private readonly practices: PracticeService,
    private readonly uploads: UploadsService,
  ) {}

  @Operation(studentRoutes.sowing)
  sowing(@CurrentDevice() device: JoinedDevice): Promise<StudentSowingView[]> {
    return this.sowings.sowing(device);
  }

  @Operation(studentRoutes.tickPot)
  tick(@CurrentDevice() device: JoinedDevice, @Body() body: StudentTickRequest): Promise<TickView[]> {
    return this.sowings.tick(device, body);
  }

  @Operation(studentRoutes.keepOwnCare)
  async keepCare(
    @CurrentDevice() device: JoinedDevice,
    @Param('careId') careId: string,
    @Body() { made, experimentId, ...care }: StudentCareRequest,
  ): Promise<CareView> {
    const work = await this.work.of(device, made);
    await this.work.experiment(device, experimentId);
    await this.work.refuseClosed(experimentId, work);
    if (!care.unitIds) throw notFound();
    await this.work.units(device, work.student, care.unitIds);
    return this.cares.keep(experimentId, careId, { ...care, happenedOn: work.day }, work.observer);
  }

  @Operation(studentRoutes.potJournal)
  async potJournal(
    @CurrentDevice() device: JoinedDevice,
    @Param('unitId') unitId: string,
  ): Promise<EntryView[]> {
    const student = await this.work.student(device, undefined);
    await this.work.unit(device, student, unitId);
    return this.journal.ofUnit(unitId, student.id);
  }

  @Operation(studentRoutes.keepOwnEntry)
  async keepEntry(
    @CurrentDevice() device: JoinedDevice,
    @Param('entryId') entryId: string,
    @Body() { made, experimentId, ...entry }: StudentEntryRequest,
  ): Promise<EntryView> {
    const work = await this.work.of(device, made);
    await this.work.experiment(device, experimentId);
    await this.work.refuseClosed(experimentId, work);
    if (!entry.unitId) throw notFound();
    await this.work.unit(device, work.student, entry.unitId);
    const dated = { ...entry, happenedOn: work.day };
    return this.journal.keep(experimentId, entryId, dated, work.observer, device.classId);
  }

  @Operation(studentRoutes.keepOwnPart)
  keepPart(
    @CurrentDevice() device: JoinedDevice,
    @Param('newUploadId') uploadId: string,
    @Param('offsetKey') offset: string,
    @Body() bytes: Buffer,
  ): Promise<void> {
    return this.uploads.keep(
      { id: device.classId, is: 'device', deviceId: device.id },
      uploadId,
      offset,
      bytes,
    );
  }

  @Operation(studentRoutes.ownDrawing)
  async drawing(
    @CurrentDevice() device: JoinedDevice,
    @Param('entryId') entryId: string,
  ): Promise<DrawingPart> {
    const student = await this.work.student(device, undefined);
    return this.journal.drawing({
      id: entryId,
      studentId: student.id,
      experiment: { classId: device.classId },
    });
  }

  @Operation(studentRoutes.classPicture)
  async picture(
    @CurrentDevice() device: JoinedDevice,
    @Param('entryId') entryId: string,
  ): Promise<StreamableFile> {
    const ofClass = { id: entryId, experiment: { classId: device.classId } };
    const own = device.studentId === null ? [] : [{ ...ofClass, studentId: device.studentId }];
    const chosen = (await this.journal.isChosen(entryId)) ? [{ ...ofClass, hiddenAt: IsNull() }] : [];
    const picture = await this.journal.picture([...chosen, ...own]);
    return new StreamableFile(picture, { type: mediaTypeOf(picture) });
  }

  @Operation(studentRoutes.keepPractice)
  keepPractice(
    @CurrentDevice() device: JoinedDevice,
    @Param('practiceId') practiceId: string,
    @Body() body: PracticeRequest,
  ): Promise<void> {
    return this.practices.keep(device, practiceId, body);
  }

  @Operation(studentRoutes.practice)
  practice(@Param('classId') classId: string): Promise<PracticeView> {
    return this.practices.ofClass(classId);
  }
}
