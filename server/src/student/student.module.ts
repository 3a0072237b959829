import { Module } from '@nestjs/common';
import { CareModule } from '../care/index.ts';
import { ClassesModule } from '../classes/index.ts';
import { JournalModule } from '../journal/index.ts';
import { AccountsModule } from '../accounts/index.ts';
import { PlansModule } from '../plans/index.ts';
import { ReadingsModule } from '../readings/index.ts';
import { SowingModule } from '../sowing/index.ts';
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
    AccountsModule,
    UploadsModule,
    ClassesModule,
    PlansModule,
    ReadingsModule,
    CareModule,
    JournalModule,
    SowingModule,
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
