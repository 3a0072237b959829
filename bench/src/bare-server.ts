import { createServer } from 'node:http';
import mysql from 'mysql2/promise';
import { INSERT, insertValues } from './bare-insert.ts';

/** The least that keeps a reading over HTTP: nobody is asked who it is, nothing is checked. Tells its port to its parent. */
const connection = await mysql.createConnection(process.argv[2] ?? '');
const server = createServer((request, response) => {
  const parts: Buffer[] = [];
  request.on('data', (part: Buffer) => parts.push(part));
  request.on('end', () => {
    const body = Buffer.concat(parts).toString();
    const { unitId, variableId, observedOn } = JSON.parse(body) as Record<string, string>;
    void connection.execute(INSERT, insertValues(unitId, variableId, observedOn)).then(() => {
      response.setHeader('Content-Type', 'application/json');
      response.end(body);
    });
  });
});
server.listen(0, '127.0.0.1', () => {
  const address = server.address();
  process.send?.(typeof address === 'object' ? address?.port : undefined);
});
process.once('disconnect', () => process.exit());
