import type { ExportQuery, OpenFileRequest, OpenTableRequest, SheetView } from './requests.ts';
import type { UploadPart } from '../uploads/index.ts';
import type { ExperimentView } from '../plans/index.ts';
import { see, teacher } from '../shared/index.ts';

export * from './requests.ts';

/** Files in and out. */
export const importRoutes = {
  exportTidy: see
    .get('/experiments/:experimentId/tidy.csv', 'The experiment as tidy CSV: one row a reading')
    .asks<ExportQuery>('ExportQuery')
    .sends('text/csv'),
  exportSheet: see
    .get('/experiments/:experimentId/tidy.xlsx', 'The same table as a spreadsheet')
    .asks<ExportQuery>('ExportQuery')
    .sends('application/vnd.openxmlformats-officedocument.spreadsheetml.sheet'),
  exportBundle: see
    .get(
      '/experiments/:experimentId/bundle.zip',
      'Everything as a Data Package: tables, plan, photos, with a description of each',
    )
    .sends('application/zip'),
  openExample: teacher
    .put(
      '/files/:newExperimentId/example',
      'Put the finished example on the shelf under an id made on the device',
    )
    .answers<ExperimentView>(),
  openTidy: teacher
    .put('/files/:newExperimentId', 'Open a tidy CSV as an experiment under an id made on the device')
    .takes<OpenFileRequest>('OpenFileRequest')
    .answers<ExperimentView>(),
  readSheets: teacher
    .post('/files/sheets', 'The cells of a spreadsheet as text; nothing is stored')
    .takes<UploadPart>('UploadPart')
    .answers<SheetView[]>(),
  openTable: teacher
    .put(
      '/files/:newExperimentId/table',
      'Open a foreign table by a mapping of its columns, whole or not at all',
    )
    .takes<OpenTableRequest>('OpenTableRequest', 131_072)
    .answers<ExperimentView>(),
  openBundle: teacher
    .put('/files/:newExperimentId/bundle', 'Open a bundle of this or another server, whole or not at all')
    .takes<OpenFileRequest>('OpenFileRequest')
    .answers<ExperimentView>(),
} as const;
