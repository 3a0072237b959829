import type { ReadingView } from '@bright-sprout/contract/readings';
import {
  type DeviceView,
  type OtherPotView,
  JoinRequest,
  type StudentPotView,
  StudentReadingRequest,
  studentRoutes,
  ChosenStudentRequest,
} from '@bright-sprout/contract/student';
import { Body, Controller, Param, Req, Res } from '@nestjs/common';
import type { Request, Response } from 'express';
import { clearCookie, setCookie } from '../accounts/index.ts';
import { Operation } from '../shared/index.ts';
import { ClassCodeLimiter } from './class-code-limiter.ts';
import { CurrentDevice, DEVICE_COOKIE } from './current-device.ts';
import { DEVICE_MS, DevicesService, type JoinedDevice } from './devices.service.ts';
import { PotsService } from './pots.service.ts';

/** A device of a class, and what a student does on it. */
@Controller()
export class StudentController {
  constructor(
    private readonly devices: DevicesService,
    private readonly pots: PotsService,
    private readonly limiter: ClassCodeLimiter,
  ) {}

  @Operation(studentRoutes.join)
  async join(
    @Body() body: JoinRequest,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<DeviceView> {
    const { token, device } = await this.limiter.join(request.ip ?? 'unknown', () =>
      this.devices.join(body.code),
    );
    setCookie(request, response, DEVICE_COOKIE, token, DEVICE_MS);
    return device;
  }

  @Operation(studentRoutes.device)
  device(@CurrentDevice() device: JoinedDevice): Promise<DeviceView> {
    return this.devices.device(device);
  }

  @Operation(studentRoutes.chooseStudent)
  async choose(
    @CurrentDevice() device: JoinedDevice,
    @Body() body: ChosenStudentRequest,
  ): Promise<DeviceView> {
    const { studentId } = body;
    const past = await this.devices.past(device, studentId);
    return this.limiter.choose({ studentId, deviceId: device.id, classId: device.classId, ...past }, () =>
      this.devices.choose(device, body),
    );
  }

  @Operation(studentRoutes.leave)
  async leave(
    @CurrentDevice() device: JoinedDevice,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<void> {
    await this.devices.leave(device);
    clearCookie(request, response, DEVICE_COOKIE);
  }

  @Operation(studentRoutes.pots)
  all(@CurrentDevice() device: JoinedDevice): Promise<StudentPotView[]> {
    return this.pots.pots(device);
  }

  @Operation(studentRoutes.otherPot)
  other(@CurrentDevice() device: JoinedDevice, @Param('unitId') unitId: string): Promise<OtherPotView> {
    return this.pots.other(device, unitId);
  }

  @Operation(studentRoutes.keepPot)
  keep(
    @CurrentDevice() device: JoinedDevice,
    @Param('readingId') readingId: string,
    @Body() body: StudentReadingRequest,
  ): Promise<ReadingView> {
    return this.pots.keep(device, readingId, body);
  }
}
