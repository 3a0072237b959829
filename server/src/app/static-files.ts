import type { NestExpressApplication } from '@nestjs/platform-express';
import express, { type NextFunction, type Request, type Response } from 'express';

const YEAR_MS = 365 * 86_400_000;
const ALWAYS_FRESH = 'no-cache';

/** Addresses that are not pages of the interface. */
const NO_PAGE = /^\/(api|assets)(\/|$)/;

/** Serves the built interface: hashed assets for a year, the page itself always fresh, a missing asset is a 404. */
export function serveStaticFiles(app: NestExpressApplication, folder: string): void {
  app.useStaticAssets(`${folder}/assets`, {
    prefix: '/assets',
    index: false,
    redirect: false,
    immutable: true,
    maxAge: YEAR_MS,
  });
  const files = express.static(folder, {
    redirect: false,
    setHeaders: (response) => response.setHeader('Cache-Control', ALWAYS_FRESH),
  });
  app.use((request: Request, response: Response, next: NextFunction) => {
    // The disk is not asked for what only the API has.
    if (NO_PAGE.test(request.path)) next();
    else files(request, response, next);
  });
  app.use((request: Request, response: Response, next: NextFunction) => {
    if (!['GET', 'HEAD'].includes(request.method) || NO_PAGE.test(request.path)) {
      next();
      return;
    }
    response.setHeader('Cache-Control', ALWAYS_FRESH);
    response.sendFile('index.html', { root: folder, cacheControl: false }, (error: Error | undefined) => {
      if (error && !response.headersSent) next(error);
    });
  });
}
