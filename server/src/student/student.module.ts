import { Module } from '@nestjs/common';
import { CareModule } from '../care/index.ts';
import { ClassesModule } from '../classes/index.ts';
import { JournalModule } from '../journal/index.ts';
import { PeopleModule } from '../people/index.ts';
import { PlanModule } from '../plan/index.ts';
import { RecordModule } from '../record/index.ts';
import { SowModule } from '../sow/index.ts';
import { ClassCodeLimiter } from './class-code-limiter.ts';
import { DevicesService } from './devices.service.ts';
import { OwnWorkService } from './own-work.service.ts';
import { PotsService } from './pots.service.ts';
import { PracticeService } from './practice.service.ts';
import { StudentController } from './student.controller.ts';
import { StudentSowingService } from './student-sowing.service.ts';
import { StudentWorkController } from './student-work.controller.ts';
import { UploadsModule } from '../uploads/index.ts';

/** Students on shared devices. */
@Module({
  imports: [
    PeopleModule,
    UploadsModule,
    ClassesModule,
    PlanModule,
    RecordModule,
    CareModule,
    JournalModule,
    SowModule,
  ],
  controllers: [StudentController, StudentWorkController],
  providers: [
    DevicesService,
    OwnWorkService,
    PotsService,
    PracticeService,
    StudentSowingService,
    ClassCodeLimiter,
  ],
  exports: [DevicesService, OwnWorkService],
})
export class StudentModule {}
