import { createParamDecorator, type ExecutionContext } from '@nestjs/common';
import type { Request } from 'express';
import { cookieOf } from '../accounts/index.ts';
import type { JoinedDevice } from './devices.service.ts';

/** A request after the guard found the device that sends it. */
export type StudentRequest = Request & { device?: JoinedDevice };

/** Cookie that carries a device's token. */
export const DEVICE_COOKIE = 'bright_sprout_class';

/** The device that sends the request; only on routes for students. */
export const CurrentDevice = createParamDecorator((_: unknown, context: ExecutionContext): JoinedDevice => {
  const { device } = context.switchToHttp().getRequest<StudentRequest>();
  if (!device) throw new Error('a route without a device asked for one');
  return device;
});

/** The device token of a request; empty when it has none. */
export function deviceTokenOf(request: Request): string {
  return cookieOf(request, DEVICE_COOKIE);
}
