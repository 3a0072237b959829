import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
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
    app = await NestFactory.create<NestExpressApplication>(Small, { logger: false });
    serveStaticFiles(app, folder);
    await app.init();
  });
  afterAll(async () => {
    await app.close();
    rmSync(folder, { recursive: true });
  });
  const get = (path: string): supertest.Test => supertest(app.getHttpServer()).get(path);

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
