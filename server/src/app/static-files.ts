import type { NestExpressApplication } from '@nestjs/platform-express';
import type { NextFunction, Request, RequestHandler, Response } from 'express';
import staticFiles from 'express-static-gzip';

const YEAR = 'public, max-age=31536000, immutable';
const ALWAYS_FRESH = 'no-cache';

/** Addresses that are not pages of the interface. */
const NO_PAGE = /^\/(api|assets)(\/|$)/;

/**
 * Serves the built interface: hashed assets for a year, the page itself always fresh, a missing asset is a 404. What
 * the build compressed is sent as it is.
 */
export function serveStaticFiles(app: NestExpressApplication, folder: string): void {
  app.use('/assets', sent(`${folder}/assets`, YEAR));
  const files = sent(folder, ALWAYS_FRESH);
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
    const { url } = request;
    request.url = '/index.html';
    files(request, response, (thrown?: unknown) => {
      request.url = url;
      next(thrown);
    });
  });
}

/** The files of a folder under their names. */
function sent(folder: string, cacheControl: string): RequestHandler {
  const files = staticFiles(folder, {
    index: false,
    enableBrotli: true,
    orderPreference: ['br', 'gzip'],
    serveStatic: {
      index: false,
      redirect: false,
      cacheControl: false,
      setHeaders: (response) => response.setHeader('Cache-Control', cacheControl),
    },
  });
  return (request, response, next) => {
    files(request, response, (thrown?: unknown) => {
      // A compressed file may have gone since the start; whatever answers now is not compressed.
      response.removeHeader('Content-Encoding');
      next(thrown);
    });
  };
}
