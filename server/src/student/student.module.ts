import { Module } from '@nestjs/common';
import { ClassesModule } from '../classes/index.ts';
import { PlanModule } from '../plan/index.ts';
import { RecordModule } from '../record/index.ts';
import { ClassCodeLimiter } from './class-code-limiter.ts';
import { DevicesService } from './devices.service.ts';
import { PotsService } from './pots.service.ts';
import { StudentController } from './student.controller.ts';

/** Students on shared devices. */
@Module({
  imports: [ClassesModule, PlanModule, RecordModule],
  controllers: [StudentController],
  providers: [DevicesService, PotsService, ClassCodeLimiter],
  exports: [DevicesService],
})
export class StudentModule {}
