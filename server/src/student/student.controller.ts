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
    const { token, device } = await this.limiter.guard(request, () => this.devices.join(body.code));
    response.cookie(DEVICE_COOKIE, token, {
      httpOnly: true,
      sameSite: 'strict',
      secure: request.secure,
      path: '/',
      maxAge: DEVICE_MS,
    });
    return device;
  }

  @Operation(studentRoutes.device)
  device(@CurrentDevice() device: JoinedDevice): Promise<DeviceView> {
    return this.devices.device(device);
  }

  @Operation(studentRoutes.chooseStudent)
  choose(
    @CurrentDevice() device: JoinedDevice,
    @Body() body: ChosenStudentRequest,
    @Req() request: Request,
  ): Promise<DeviceView> {
    return this.limiter.guard(request, () => this.devices.choose(device, body));
  }

  @Operation(studentRoutes.leave)
  async leave(
    @CurrentDevice() device: JoinedDevice,
    @Res({ passthrough: true }) response: Response,
  ): Promise<void> {
    await this.devices.leave(device);
    response.clearCookie(DEVICE_COOKIE, { path: '/' });
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
