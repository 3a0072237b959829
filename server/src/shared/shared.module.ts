import { type DynamicModule, Global, Module } from '@nestjs/common';
import { Clock } from './clock.ts';
import { HeavyWork, WORKER_FILE, type WorkerFile } from './heavy-work.ts';
import { SETTINGS, type Settings } from './settings.ts';

/** The clock, the settings and the threads for heavy work, for every feature. */
@Global()
@Module({})
export class SharedModule {
  static with(settings: Settings, workerFile: WorkerFile): DynamicModule {
    return {
      module: SharedModule,
      providers: [
        Clock,
        HeavyWork,
        { provide: SETTINGS, useValue: settings },
        { provide: WORKER_FILE, useValue: workerFile },
      ],
      exports: [Clock, HeavyWork, SETTINGS],
    };
  }
}
