import type { DataSourceOptions } from 'typeorm';
import { FirstTables1700000000000 } from '../../migrations/1700000000000-first-tables.ts';
import { Plans1700000000001 } from '../../migrations/1700000000001-plans.ts';
import { Classes1700000000002 } from '../../migrations/1700000000002-classes.ts';
import { Recording1700000000003 } from '../../migrations/1700000000003-recording.ts';
import { Ideas1700000000004 } from '../../migrations/1700000000004-ideas.ts';
import { Uploads1700000000005 } from '../../migrations/1700000000005-uploads.ts';
import { OneCorrection1700000000006 } from '../../migrations/1700000000006-one-correction.ts';
import { StandardNames1700000000007 } from '../../migrations/1700000000007-standard-names.ts';
import { CareUnits1700000000008 } from '../../migrations/1700000000008-care-units.ts';
import { Emerged1700000000009 } from '../../migrations/1700000000009-emerged.ts';
import { WhoAndWhen1700000000010 } from '../../migrations/1700000000010-who-and-when.ts';
import { Lessons1700000000011 } from '../../migrations/1700000000011-lessons.ts';
import { Photos1700000000012 } from '../../migrations/1700000000012-photos.ts';
import { LeftOut1700000000013 } from '../../migrations/1700000000013-left-out.ts';
import { PartSizes1700000000014 } from '../../migrations/1700000000014-part-sizes.ts';
import { RealSizes1700000000015 } from '../../migrations/1700000000015-real-sizes.ts';
import { AccountSafety1700000000017 } from '../../migrations/1700000000017-account-safety.ts';
import { Shares1700000000018 } from '../../migrations/1700000000018-shares.ts';
import { PartsByDevice1700000000019 } from '../../migrations/1700000000019-parts-by-device.ts';
import { MovesAndReasons1700000000016 } from '../../migrations/1700000000016-moves-and-reasons.ts';
import { CareEvent, CareMove, CareUnit, Logger, LoggerSample } from '../care/index.ts';
import { DeviceStudent, SchoolClass, Student, StudentDevice, Team } from '../classes/index.ts';
import { LessonRow, Poll, Vote } from '../lessons/index.ts';
import { Conclusion, Prediction } from '../predictions/index.ts';
import { AuditEvent, KnownDevice, Session, SignInAttempts, Teacher } from '../accounts/index.ts';
import { JournalEntry } from '../journal/index.ts';
import { Measure, Photo } from '../photos/index.ts';
import { ContainerSize, Crop, SeedLot } from '../inventory/index.ts';
import {
  ClosedDay,
  Container,
  Experiment,
  Factor,
  Level,
  PlanTemplate,
  Task,
  Treatment,
  TreatmentLevel,
  Unit,
  Variable,
} from '../plans/index.ts';
import { Reading, SetAside } from '../readings/index.ts';
import { Share } from '../sharing/index.ts';
import { addressesOf, UnderscoreNaming } from '../shared/index.ts';
import { SowingTick } from '../sowing/index.ts';
import { PracticeReading } from '../student/index.ts';
import { UploadPartRow } from '../uploads/index.ts';

const ENTITIES = [
  Teacher,
  Session,
  KnownDevice,
  AuditEvent,
  SignInAttempts,
  Crop,
  Experiment,
  Factor,
  Level,
  Treatment,
  TreatmentLevel,
  Container,
  Unit,
  Variable,
  SeedLot,
  PlanTemplate,
  ContainerSize,
  Task,
  SchoolClass,
  Share,
  Team,
  Student,
  StudentDevice,
  DeviceStudent,
  ClosedDay,
  Reading,
  SetAside,
  CareEvent,
  CareMove,
  CareUnit,
  Logger,
  LoggerSample,
  JournalEntry,
  Photo,
  Measure,
  SowingTick,
  PracticeReading,
  Prediction,
  Conclusion,
  LessonRow,
  Poll,
  Vote,
  UploadPartRow,
];

/**
 * How the server talks to MariaDB. The schema changes by migrations only.
 * @param databaseUrl see {@link DatabaseAddresses}
 */
export function databaseOptions(databaseUrl: string, connections = 4): DataSourceOptions {
  const { url, connect } = addressesOf(databaseUrl);
  return {
    type: 'mariadb',
    url,
    entities: ENTITIES,
    migrations: [
      FirstTables1700000000000,
      Plans1700000000001,
      Classes1700000000002,
      Recording1700000000003,
      Ideas1700000000004,
      Uploads1700000000005,
      OneCorrection1700000000006,
      StandardNames1700000000007,
      CareUnits1700000000008,
      Emerged1700000000009,
      WhoAndWhen1700000000010,
      Lessons1700000000011,
      Photos1700000000012,
      LeftOut1700000000013,
      PartSizes1700000000014,
      RealSizes1700000000015,
      MovesAndReasons1700000000016,
      AccountSafety1700000000017,
      Shares1700000000018,
      PartsByDevice1700000000019,
    ],
    migrationsTransactionMode: 'each',
    namingStrategy: new UnderscoreNaming(),
    synchronize: false,
    timezone: 'Z',
    dateStrings: ['DATE'],
    charset: 'utf8mb4',
    connectorPackage: 'mysql2',
    connectTimeout: 5000,
    extra: { connectionLimit: connections, maxIdle: connections, stream: connect },
  } as DataSourceOptions;
}
