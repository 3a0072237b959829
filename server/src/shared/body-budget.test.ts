import { createServer, type Server } from 'node:http';
import { type AddressInfo, connect, type Socket } from 'node:net';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import express from 'express';
import { ApiError } from './api-error.ts';
import { BodyBudget } from './body-budget.ts';

const LIMIT = 400_000;
let server: Server;
let port: number;
const open: Socket[] = [];

beforeEach(async () => {
  const app = express();
  app.set('trust proxy', true);
  const budget = new BodyBudget({ ofAddress: 800_000, inAll: 1_000_000 });
  app.use(budget.guard(LIMIT, express.raw({ limit: LIMIT, type: 'application/octet-stream' })));
  app.use((_request, response) => void response.json({ read: true }));
  app.use(((thrown: unknown, _request, response, _next) => {
    response.status(503).json(thrown instanceof ApiError ? thrown.body : {});
  }) as express.ErrorRequestHandler);
  server = createServer(app);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  ({ port } = server.address() as AddressInfo);
});

afterEach(async () => {
  for (const socket of open.splice(0)) socket.destroy();
  await new Promise((resolve) => server.close(resolve));
});

/** A body that states its length, or none, and never ends. */
async function halfSent(from: string, length: string): Promise<Socket> {
  const socket = connect(port, '127.0.0.1');
  open.push(socket);
  const type = 'Content-Type: application/octet-stream';
  socket.write(`PUT / HTTP/1.1\r\nHost: a\r\nX-Forwarded-For: ${from}\r\n${type}\r\n${length}\r\n\r\n`);
  await new Promise((resolve) => setTimeout(resolve, 30));
  return socket;
}

async function sent(from: string, bytes: number): Promise<number> {
  const { status } = await fetch(`http://127.0.0.1:${port}/`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/octet-stream', 'X-Forwarded-For': from },
    body: new Uint8Array(bytes),
  });
  return status;
}

test('half-sent bodies of one address fill its own room, are let go when they end, and small ones always pass', async () => {
  const first = await halfSent('10.0.0.1', `Content-Length: ${LIMIT}`);
  await halfSent('10.0.0.1', 'Transfer-Encoding: chunked');
  expect(await sent('10.0.0.1', 100_000)).toBe(503);
  expect(await sent('10.0.0.1', 20_000)).toBe(200);
  expect(await sent('10.0.0.2', 100_000)).toBe(200);
  first.destroy();
  await new Promise((resolve) => setTimeout(resolve, 50));
  expect(await sent('10.0.0.1', 100_000)).toBe(200);
});

test('all addresses together fill the room of all', async () => {
  await halfSent('10.0.0.1', `Content-Length: ${LIMIT}`);
  await halfSent('10.0.0.2', `Content-Length: ${LIMIT}`);
  expect(await sent('10.0.0.3', 300_000)).toBe(503);
  expect(await sent('10.0.0.3', 100_000)).toBe(200);
});
