import { createServer } from 'node:http';
import mysql from 'mysql2/promise';
import { serve } from './bare-process.ts';
import { INSERT, insertValues } from './bare-insert.ts';

/** The least that keeps a reading over HTTP: nobody is asked who it is, nothing is checked. */
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
serve(server);
