import { createReadStream } from 'node:fs';
import { createServer } from 'node:http';
import { join } from 'node:path';
import { serve } from './bare-process.ts';

/** The least that sends files: no header but what each needs. */
const [, , folder = ''] = process.argv;
const server = createServer((request, response) => {
  response.setHeader('Content-Encoding', 'gzip');
  createReadStream(join(folder, `${request.url ?? ''}.gz`)).pipe(response);
});
serve(server);
