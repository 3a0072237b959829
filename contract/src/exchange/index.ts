import { IsString, Length, MaxLength } from 'class-validator';
import { ExperimentView } from '../plan/index.ts';
import { route, Trimmed } from '../shared/index.ts';

/** The most characters a file may hold. */
export const MOST_FILE_CHARACTERS = 20_000_000;

/** A tidy CSV file to open as an experiment. */
export class OpenFileRequest {
  @Trimmed()
  @Length(1, 200)
  fileName: string;

  @IsString()
  @MaxLength(MOST_FILE_CHARACTERS, { message: 'Files of up to 20 million characters can be opened.' })
  text: string;
}

/** Files in and out. */
export const exchangeRoutes = {
  exportTidy: route({
    method: 'GET',
    path: '/experiments/:experimentId/tidy.csv',
    summary: 'The experiment as tidy CSV: one row a reading',
    access: 'owner',
    file: 'text/csv',
  }),
  openTidy: route({
    method: 'PUT',
    path: '/files/:newExperimentId',
    summary: 'Open a tidy CSV as an experiment under an id made on the device',
    access: 'teacher',
    body: OpenFileRequest,
    answer: ExperimentView,
  }),
} as const;
