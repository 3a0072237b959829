import { createReadStream } from 'node:fs';
import { createServer } from 'node:http';
import { join } from 'node:path';

/** The least that sends files: no header but what each needs. Tells its port to its parent. */
const [, , folder = ''] = process.argv;
const server = createServer((request, response) => {
  response.setHeader('Content-Encoding', 'gzip');
  createReadStream(join(folder, `${request.url ?? ''}.gz`)).pipe(response);
});
server.listen(0, '127.0.0.1', () => {
  const address = server.address();
  process.send?.(typeof address === 'object' ? address?.port : undefined);
});
process.once('disconnect', () => process.exit());
