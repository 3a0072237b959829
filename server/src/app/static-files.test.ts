import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { Controller, Get, Module } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import supertest from 'supertest';
import { serveStaticFiles } from './static-files.ts';

@Controller('api')
class Answers {
  @Get('here')
  here(): { isHere: true } {
    return { isHere: true };
  }
}

@Module({ controllers: [Answers] })
class Small {}

/** What only the compressed files hold. */
const SMALLER = 'made smaller';

describe('the built interface', () => {
  const folder = mkdtempSync(join(tmpdir(), 'sprout-web-'));
  let app: NestExpressApplication;

  beforeAll(async () => {
    mkdirSync(join(folder, 'assets'));
    mkdirSync(join(folder, 'api'));
    writeFileSync(join(folder, 'api', 'file.txt'), 'of no answer');
    writeFileSync(join(folder, 'index.html'), '<title>page</title>');
    writeFileSync(join(folder, 'service-worker.js'), 'worker');
    writeFileSync(join(folder, 'assets', 'main-abc.js'), 'script');
    for (const path of ['index.html', 'assets/main-abc.js', 'assets/gone-abc.js']) {
      writeFileSync(join(folder, `${path}.br`), brotliCompressSync(SMALLER));
      writeFileSync(join(folder, `${path}.gz`), gzipSync(SMALLER));
    }
    app = await NestFactory.create<NestExpressApplication>(Small, { logger: false });
    serveStaticFiles(app, folder);
    await app.init();
  });
  afterAll(async () => {
    await app.close();
    rmSync(folder, { recursive: true });
  });
  const get = (path: string, encodings = 'identity'): supertest.Test =>
    supertest(app.getHttpServer()).get(path).set('Accept-Encoding', encodings);

  test.each(['/', '/classes', '/experiments/0190/plan?part=pots', '/join/AB12', '/apiary'])(
    '%s is its page, always fresh',
    async (path) => {
      const answer = await get(path).expect(200);
      expect(answer.text).toBe('<title>page</title>');
      expect(answer.headers['cache-control']).toBe('no-cache');
      expect(answer.headers['content-type']).toMatch(/^text\/html/);
    },
  );

  test('assets stay for a year, other files are always fresh', async () => {
    const asset = await get('/assets/main-abc.js').expect(200, 'script');
    expect(asset.headers['cache-control']).toBe('public, max-age=31536000, immutable');
    const worker = await get('/service-worker.js').expect(200, 'worker');
    expect(worker.headers['cache-control']).toBe('no-cache');
  });

  test.each([
    ['gzip, deflate, br, zstd', 'br'],
    ['gzip, deflate', 'gzip'],
    ['br;q=0.1, gzip', 'br'],
    ['br;q=0, gzip', 'gzip'],
  ])('who takes %s is sent what the build made of it with %s', async (encodings, encoding) => {
    for (const [path, type, age] of [
      ['/assets/main-abc.js', /^text\/javascript/, /immutable/],
      ['/classes?of=mine', /^text\/html/, /^no-cache$/],
    ] as const) {
      const { headers, text } = await get(path, encodings).buffer(true).expect(200);
      expect(text).toBe(SMALLER);
      expect(headers).toMatchObject({ 'content-encoding': encoding, vary: 'Accept-Encoding' });
      expect(headers['content-type']).toMatch(type);
      expect(headers['cache-control']).toMatch(age);
    }
  });

  test('a browser that has a page is told that it is the same', async () => {
    const { headers } = await get('/', 'gzip').expect(200);
    await get('/plans', 'gzip').set('If-None-Match', String(headers.etag)).expect(304);
  });

  test('where only a compressed file is left, or none, the answer is a plain one', async () => {
    await get('/assets/gone-abc.js').expect(404);
    rmSync(join(folder, 'assets', 'gone-abc.js.br'));
    const { headers, body } = await get('/assets/gone-abc.js', 'br').expect(404);
    expect(headers['content-encoding']).toBeUndefined();
    expect(body).toMatchObject({ statusCode: 404 });
  });

  test('the API answers beside it, and what is missing is missing', async () => {
    await get('/api/here').expect(200, { isHere: true });
    for (const path of ['/api/nowhere', '/api', '/api/file.txt', '/assets/gone-abc.js', '/assets'])
      await get(path).expect(404);
    await supertest(app.getHttpServer()).post('/classes').expect(404);
  });

  test.each([
    '/%E0%A4%A',
    '/assets/../../package.json',
    '/assets/%2e%2e%2fpackage.json',
    '/..%2f..%2fpackage.json',
  ])('%s leads nowhere else', async (path) => {
    const { status, text } = await get(path);
    expect(status === 200 ? text : 'refused').toMatch(/^(<title>page<\/title>|refused)$/);
    expect(status).toBeLessThan(500);
  });
});
