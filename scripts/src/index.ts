export { BROWSER_LAUNCH } from './browser.ts';
export { buildIfChanged } from './build.ts';
export { cpuSeconds } from './cpu-seconds.ts';
export { type PrivateDatabase, startPrivateDatabase } from './private-database.ts';
export { endWithThisProcess, freePort, ownProcess, runToEnd, stopProcess } from './processes.ts';
export {
  built,
  type RunningServer,
  runLoadDemo,
  runMigrations,
  type ServerSettings,
  startServer,
} from './server-process.ts';
export {
  DEMO_EMAIL,
  ROOT,
  startTemporaryApplication,
  type TemporaryApplication,
} from './temporary-application.ts';
export {
  CHROMIUM,
  ensureTool,
  FAKETIME,
  findLibrary,
  findProgram,
  GALERA,
  HAPROXY,
  Trouble,
} from './tools.ts';
