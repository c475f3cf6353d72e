import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import compression from 'compression';
import express, { type Express, type RequestHandler } from 'express';
import helmet from 'helmet';
import { HttpProblem, problemHandler } from './problems.ts';
import { type ApiParts, apiRouter } from './routes/api.ts';

export interface AppParts extends ApiParts {
  webDir: string | null;
  devOrigin: string | null;
  report: (error: unknown) => void;
}

/** Names under which this machine may be called: other names are somebody's page reaching in by DNS. */
const LOCAL_NAMES = new Set(['127.0.0.1', 'localhost', '[::1]']);

const nameOf = (host: string | undefined): string => (host ?? '').replace(/:\d+$/, '');

function onlyLocal(devOrigin: string | null): RequestHandler {
  return (req, _res, next) => {
    if (!LOCAL_NAMES.has(nameOf(req.get('host')))) {
      throw new HttpProblem(421, 'wrongHost', 'This server answers only under its own address.');
    }
    const origin = req.get('origin');
    if (origin !== undefined && origin !== devOrigin && origin !== `http://${req.get('host')}`) {
      throw new HttpProblem(403, 'wrongOrigin', 'Only the page of this server may talk to it.');
    }
    next();
  };
}

/** Place for the style nonce in the built page. */
const NONCE = '__NONCE__';

export function buildApp(parts: AppParts): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(onlyLocal(parts.devOrigin));
  app.use((_req, res, next) => {
    res.locals.nonce = randomBytes(16).toString('base64');
    next();
  });
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          // The styles that the page makes while it runs carry this response's nonce.
          styleSrc: [
            "'self'",
            (_req, res) => `'nonce-${(res as unknown as { locals: { nonce: string } }).locals.nonce}'`,
          ],
          imgSrc: ["'self'", 'data:'],
          objectSrc: ["'none'"],
          baseUri: ["'self'"],
          frameAncestors: ["'none'"],
          formAction: ["'self'"],
        },
      },
      strictTransportSecurity: false,
    }),
  );
  // The event stream is written piece by piece: nothing may hold it back.
  app.use(
    compression({
      filter: (req, res) => !req.originalUrl.startsWith('/api/stream') && compression.filter(req, res),
    }),
  );
  app.use('/api', apiRouter(parts));

  const { webDir } = parts;
  if (webDir && existsSync(path.join(webDir, 'index.html'))) {
    const page = readFileSync(path.join(webDir, 'index.html'), 'utf8');
    app.use(
      '/assets',
      express.static(path.join(webDir, 'assets'), { immutable: true, maxAge: '1y', fallthrough: false }),
    );
    app.use(express.static(webDir, { index: false }));
    // Every other address is a place in the application; its state stands in the address.
    app.get('/{*place}', (_req, res) => {
      res.set('Cache-Control', 'no-store').type('html').send(page.replaceAll(NONCE, res.locals.nonce));
    });
  }
  app.use(problemHandler(parts.report));
  return app;
}
