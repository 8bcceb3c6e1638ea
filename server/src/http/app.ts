import { join } from 'node:path';
import compression from 'compression';
import express, { type Express } from 'express';
import expressStaticGzip from 'express-static-gzip';
import helmet from 'helmet';
import { notFound, problemHandler } from '../problem';
import { api, type AppOptions } from './api';
import { onlyOwnNames } from './guards';
import { observed } from './observe';
import { ownScripts, cacheFor } from './web';

const YEAR_SECONDS = 31_536_000;
/**
 * The HTTP interface, version 1, and the web application beside it. It keeps nothing in memory that matters.
 */
export function createApp(options: AppOptions): Express {
  const { log, web, proxies, publicUrl } = options;
  const app = express();
  app.disable('x-powered-by');
  app.set('trust proxy', proxies ?? false);
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          'script-src': ["'self'", ...(web === undefined ? [] : ownScripts(web))],
          'style-src': ["'self'", "'unsafe-inline'"],
          'img-src': ["'self'", 'data:', 'blob:'],
          'worker-src': ["'self'", 'blob:'],
          'connect-src': ["'self'"],
          'frame-ancestors': ["'none'"],
          'upgrade-insecure-requests': null,
        },
      },
      strictTransportSecurity: publicUrl?.startsWith('https:') === true ? { maxAge: YEAR_SECONDS } : false,
    }),
  );
  app.use(observed(log, options.metrics));
  app.use(onlyOwnNames(publicUrl));
  app.use('/api/v1', api(options), notFound);
  app.use(compression());
  if (web !== undefined) {
    // What the build pressed is sent as it is; the rest is pressed on the way.
    app.use(
      expressStaticGzip(web, {
        enableBrotli: true,
        orderPreference: ['br'],
        index: false,
        serveStatic: { setHeaders: cacheFor },
      }),
    );
    app.get('/{*path}', (request, response, next) => {
      if (request.accepts('html') === false || /\.[a-z0-9]+$/i.test(request.path)) next();
      else response.set('Cache-Control', 'no-cache').sendFile(join(web, 'index.html'), { dotfiles: 'allow' });
    });
  }
  app.use(notFound);
  app.use(problemHandler((error) => log.error({ err: error }, 'unexpected')));
  return app;
}
