import { type DynamicModule, Global, Module } from '@nestjs/common';
import { Clock } from './clock.ts';
import type { Settings } from './settings.ts';

/** Injection token of the {@link Settings}. */
export const SETTINGS = Symbol('settings');

/** The clock and the settings, for every feature. */
@Global()
@Module({})
export class SharedModule {
  static with(settings: Settings): DynamicModule {
    return {
      module: SharedModule,
      providers: [Clock, { provide: SETTINGS, useValue: settings }],
      exports: [Clock, SETTINGS],
    };
  }
}
