import type { OpenFileRequest, OpenTableRequest, SheetView } from '@bright-sprout/contract/imports';
import type { UploadPart } from '@bright-sprout/contract/uploads';
import type { KnownTeacher } from '../accounts/index.ts';
import type { HeavyTask } from '../shared/index.ts';
import { BundleService } from './bundle.service.ts';
import { ImportsService } from './imports.service.ts';

/** A file to open under an id, as a request asked for it. */
export interface ToOpen<Request> {
  readonly id: string;
  readonly request: Request;
  readonly teacher: KnownTeacher;
}

/** An experiment to write into a file. */
export interface ToExport {
  readonly id: string;
  /** Whether names of children stand in it. */
  readonly hasNames: boolean;
}

/** Files in and out. Files from outside are read in threads with little memory. */
export const exchangeTasks = {
  tidyCsv: {
    name: 'tidy-csv',
    pool: 'figures',
    run: (services, { id, hasNames }) => services.get(ImportsService).tidyCsv(id, hasNames),
  } satisfies HeavyTask<ToExport, Uint8Array>,
  tidySheet: {
    name: 'tidy-sheet',
    pool: 'figures',
    run: (services, { id, hasNames }) => services.get(ImportsService).tidySheet(id, hasNames),
  } satisfies HeavyTask<ToExport, Uint8Array>,
  bundle: {
    name: 'bundle',
    pool: 'figures',
    run: (services, id) => services.get(BundleService).texts(id),
  } satisfies HeavyTask<string, Uint8Array>,
  readSheets: {
    name: 'read-sheets',
    pool: 'files',
    run: (services, { request, teacher }) => services.get(ImportsService).readSheets(request, teacher),
  } satisfies HeavyTask<Omit<ToOpen<UploadPart>, 'id'>, SheetView[]>,
  openTidy: {
    name: 'open-tidy',
    pool: 'files',
    run: (services, { id, request, teacher }) => services.get(ImportsService).openTidy(id, request, teacher),
  } satisfies HeavyTask<ToOpen<OpenFileRequest>, void>,
  openTable: {
    name: 'open-table',
    pool: 'files',
    run: (services, { id, request, teacher }) => services.get(ImportsService).openTable(id, request, teacher),
  } satisfies HeavyTask<ToOpen<OpenTableRequest>, void>,
  openBundle: {
    name: 'open-bundle',
    pool: 'files',
    mostMs: 15 * 60_000,
    run: (services, { id, request, teacher }) => services.get(BundleService).open(id, request, teacher),
  } satisfies HeavyTask<ToOpen<OpenFileRequest>, void>,
} as const;
