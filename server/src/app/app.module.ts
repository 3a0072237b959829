import { type DynamicModule, Module } from '@nestjs/common';
import { APP_FILTER, APP_GUARD, APP_INTERCEPTOR, APP_PIPE } from '@nestjs/core';
import { TypeOrmModule } from '@nestjs/typeorm';
import { CareModule } from '../care/index.ts';
import { ClassesModule } from '../classes/index.ts';
import { PredictionsModule } from '../predictions/index.ts';
import { ComparisonModule } from '../comparison/index.ts';
import { ImportsModule } from '../imports/index.ts';
import { JournalModule } from '../journal/index.ts';
import { LessonsModule } from '../lessons/index.ts';
import { LiveModule } from '../live/index.ts';
import { AccountsModule } from '../accounts/index.ts';
import { PhotosModule } from '../photos/index.ts';
import { PlansModule } from '../plans/index.ts';
import { ReadingsModule } from '../readings/index.ts';
import {
  addressesOf,
  ContractPipe,
  ErrorFilter,
  RetryDeadlocks,
  type Settings,
  SharedModule,
  WriteQuota,
} from '../shared/index.ts';
import { ExperimentsModule } from '../experiments/index.ts';
import { SharingModule } from '../sharing/index.ts';
import { SowingModule } from '../sowing/index.ts';
import { StudentModule } from '../student/index.ts';
import { UploadsModule } from '../uploads/index.ts';
import { AccessGuard } from './access.guard.ts';
import { CallersService } from './callers.service.ts';
import { DatabaseWatch } from './database-watch.ts';
import { databaseOptions } from './database.ts';
import { StorageGuard } from './storage.guard.ts';
import { WORKER_FILE } from './worker-file.ts';
import { NetworkController } from './network.controller.ts';
import { HealthController } from './health.controller.ts';

/** Connections of the server itself: many more than saves at once need. */
const CONNECTIONS = 20;

/** The whole server. */
@Module({})
export class AppModule {
  /** @param connections the most connections to the database */
  static with(settings: Settings, connections = CONNECTIONS): DynamicModule {
    return {
      module: AppModule,
      imports: [
        SharedModule.with(settings, WORKER_FILE),
        TypeOrmModule.forRoot({
          ...databaseOptions(settings.databaseUrl, connections),
          retryAttempts: 3 + addressesOf(settings.databaseUrl).count,
          retryDelay: 500,
        }),
        AccountsModule,
        SharingModule,
        ClassesModule,
        UploadsModule,
        PlansModule,
        ReadingsModule,
        CareModule,
        JournalModule,
        PhotosModule,
        SowingModule,
        StudentModule,
        LiveModule,
        ComparisonModule,
        PredictionsModule,
        LessonsModule,
        ImportsModule,
        ExperimentsModule,
      ],
      controllers: [HealthController, NetworkController],
      providers: [
        CallersService,
        DatabaseWatch,
        StorageGuard,
        { provide: APP_GUARD, useExisting: StorageGuard },
        { provide: APP_GUARD, useClass: AccessGuard },
        // After who is known, as strangers are counted by their address, which a school shares.
        { provide: APP_GUARD, useClass: WriteQuota },
        { provide: APP_INTERCEPTOR, useClass: RetryDeadlocks },
        { provide: APP_PIPE, useClass: ContractPipe },
        { provide: APP_FILTER, useClass: ErrorFilter },
      ],
    };
  }
}
