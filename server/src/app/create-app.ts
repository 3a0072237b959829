import 'reflect-metadata';
import type { Server } from 'node:http';
import { ROUTES } from '@bright-sprout/contract/routes';
import type { Route } from '@bright-sprout/contract/shared';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { Logger, type LogLevel } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import compression from 'compression';
import cookieParser from 'cookie-parser';
import type { Request, Response } from 'express';
import helmet from 'helmet';
import { readBodies, type Settings } from '../shared/index.ts';
import { AppModule } from './app.module.ts';
import { openApi } from './openapi.ts';
import { serveStaticFiles } from './static-files.ts';

const KEEP_ALIVE_MS = 75_000;

/** A photo of a logger, 6 MB, over a line of a school that gives 50 kB a second. */
const WHOLE_REQUEST_MS = 120_000;

/** Far above a school's 500 tablets with a stream and six requests each; below what a process can hold. */
const MOST_CONNECTIONS = 6000;

/** Nearly as small as the best and three times as quick: a class's figures are many megabytes, its network is near. */
const QUICK = 2;

/** Levels at which each request is logged; warnings and errors are logged at every level but `silent`. */
const LOGS_REQUESTS: readonly string[] = ['info', 'debug', 'trace'];

const REQUESTS = new Logger('Requests');

function levelsOf(logLevel: string): LogLevel[] {
  return LOGS_REQUESTS.includes(logLevel) ? ['error', 'warn', 'log'] : ['error', 'warn'];
}

/** Tells of a request by its route, how it was answered and how fast: an address may hold a code, headers say who asks. */
function tellRequests(request: Request, response: Response, next: () => void): void {
  const begun = performance.now();
  response.once('finish', () => {
    const { path } = (request.route ?? { path: 'a file' }) as { path: string };
    const ms = (performance.now() - begun).toFixed(1);
    REQUESTS.log(`${request.method} ${path} ${response.statusCode} ${ms} ms`);
  });
  next();
}

/** Builds the server without listening. */
export async function createApp(settings: Settings): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule.with(settings), {
    logger: settings.logLevel === 'silent' ? false : levelsOf(settings.logLevel),
    bodyParser: false,
    ...(settings.tls ? { httpsOptions: settings.tls } : {}),
  });
  app.set('trust proxy', settings.trustedProxies);
  app.set('query parser', 'simple');
  if (LOGS_REQUESTS.includes(settings.logLevel)) {
    app.use(tellRequests);
  }
  app.use(
    helmet({
      // Only where the line is safe, see below: over plain HTTP browsers ignore it, and a school may have no certificate.
      strictTransportSecurity: false,
      frameguard: { action: 'deny' },
      contentSecurityPolicy: {
        directives: {
          'script-src': ["'self'"],
          'style-src': ["'self'", "'unsafe-inline'"],
          'img-src': ["'self'", 'data:', 'blob:'],
          'font-src': ["'self'"],
          'frame-ancestors': ["'none'"],
          'worker-src': ["'self'", 'blob:'],
          'upgrade-insecure-requests': null,
        },
      },
    }),
  );
  app.use(safeLine);
  app.use(compression({ level: QUICK }));
  app.use(cookieParser());
  app.use(readBodies(Object.values<Route>(ROUTES), '/api'));
  app.setGlobalPrefix('api');
  const description = openApi();
  app.use('/api', (_request: Request, response: Response, next: () => void) => {
    response.setHeader('Cache-Control', 'no-store');
    next();
  });
  app.use('/api/openapi.json', (_request: Request, response: Response) => {
    response.json(description);
  });
  if (settings.webFolder !== '') serveStaticFiles(app, settings.webFolder);
  // Longer than browsers and proxies keep a connection: it is theirs to close, else a request meets a closed one.
  const server: Server = app.getHttpServer();
  server.keepAliveTimeout = KEEP_ALIVE_MS;
  server.headersTimeout = KEEP_ALIVE_MS + 1000;
  server.requestTimeout = WHOLE_REQUEST_MS;
  server.maxConnections = MOST_CONNECTIONS;
  return app;
}

/** A year, for this host alone: a school's other hosts are not ours to speak for. */
const HSTS = 'max-age=31536000';

/** What pages may use of the device: the camera, for photos of plants. */
const PERMISSIONS = 'camera=(self), microphone=(), geolocation=(), payment=(), usb=(), browsing-topics=()';

/** Headers that say what may be used, and, over HTTPS, that the line stays safe. */
function safeLine(request: Request, response: Response, next: () => void): void {
  response.setHeader('Permissions-Policy', PERMISSIONS);
  if (request.secure) response.setHeader('Strict-Transport-Security', HSTS);
  next();
}
