import type { ExportQuery, OpenFileRequest, OpenTableRequest, SheetView } from './requests.ts';
import type { UploadPart } from '../uploads/index.ts';
import type { ExperimentView } from '../plans/index.ts';
import { json, request, route } from '../shared/index.ts';

export {
  ExportQuery,
  MappedVariablePart,
  MeantWordPart,
  MeantZerosPart,
  OpenFileRequest,
  OpenTableRequest,
  type SheetView,
  TableMappingPart,
} from './requests.ts';

/** Files in and out. */
export const importRoutes = {
  exportTidy: route({
    method: 'GET',
    path: '/experiments/:experimentId/tidy.csv',
    summary: 'The experiment as tidy CSV: one row a reading',
    access: 'see',
    query: request<ExportQuery>('ExportQuery'),
    file: 'text/csv',
  }),
  exportSheet: route({
    method: 'GET',
    path: '/experiments/:experimentId/tidy.xlsx',
    summary: 'The same table as a spreadsheet',
    access: 'see',
    query: request<ExportQuery>('ExportQuery'),
    file: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
  }),
  exportBundle: route({
    method: 'GET',
    path: '/experiments/:experimentId/bundle.zip',
    summary: 'Everything as a Data Package: tables, plan, photos, with a description of each',
    access: 'see',
    file: 'application/zip',
  }),
  openExample: route({
    method: 'PUT',
    path: '/files/:newExperimentId/example',
    summary: 'Put the finished example on the shelf under an id made on the device',
    access: 'teacher',
    answer: json<ExperimentView>(),
  }),
  openTidy: route({
    method: 'PUT',
    path: '/files/:newExperimentId',
    summary: 'Open a tidy CSV as an experiment under an id made on the device',
    access: 'teacher',
    body: request<OpenFileRequest>('OpenFileRequest'),
    answer: json<ExperimentView>(),
  }),
  readSheets: route({
    method: 'POST',
    path: '/files/sheets',
    summary: 'The cells of a spreadsheet as text; nothing is stored',
    access: 'teacher',
    body: request<UploadPart>('UploadPart'),
    answer: json<SheetView[]>(),
  }),
  openTable: route({
    method: 'PUT',
    path: '/files/:newExperimentId/table',
    summary: 'Open a foreign table by a mapping of its columns, whole or not at all',
    access: 'teacher',
    body: request<OpenTableRequest>('OpenTableRequest'),
    maxBytes: 131_072,
    answer: json<ExperimentView>(),
  }),
  openBundle: route({
    method: 'PUT',
    path: '/files/:newExperimentId/bundle',
    summary: 'Open a bundle of this or another server, whole or not at all',
    access: 'teacher',
    body: request<OpenFileRequest>('OpenFileRequest'),
    answer: json<ExperimentView>(),
  }),
} as const;
