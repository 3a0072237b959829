import { networkRoutes, type NetworkView } from '@bright-sprout/contract/network';
import { Controller, Inject, Req } from '@nestjs/common';
import type { Request } from 'express';
import { Operation, type Settings, SETTINGS } from '../shared/index.ts';
import { machineAddresses, reachableOrigins } from './network.ts';

/** Where tablets open the application. */
@Controller()
export class NetworkController {
  constructor(@Inject(SETTINGS) private readonly settings: Settings) {}

  @Operation(networkRoutes.network)
  network(@Req() request: Request): NetworkView {
    const { host, port, tls } = this.settings;
    const asked = { scheme: request.protocol, host: request.get('host') ?? '' };
    return { origins: reachableOrigins(asked, { host, port, isSafe: tls !== null }, machineAddresses()) };
  }
}
