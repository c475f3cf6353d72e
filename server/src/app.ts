import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import compression from 'compression';
import express, { type Express, type Response } from 'express';
import staticGzip from 'express-static-gzip';
import helmet from 'helmet';
import { hasFirstScreen, onlyOwnNames, onlyPaired } from './access.ts';
import type { NetworkDesk } from './network/desk.ts';
import { HttpProblem, problemHandler } from './problems.ts';
import { accessRouter, pairingRouter } from './routes/access.ts';
import { apiRouter } from './routes/api.ts';
import type { ApiParts } from './routes/parts.ts';
import { PairingCode } from './services/devices.ts';

export interface AppParts extends ApiParts {
  webDir: string | null;
  network: NetworkDesk;
  /** Where it is reached in the home network. */
  addresses: () => string[];
  devOrigin: string | null;
  report: (error: unknown) => void;
  /** Says something on the terminal that the server was started in. */
  tell: (text: string) => void;
}

/** What a page of ours may ask of the browser: to keep the screen awake, and the camera for a photo; nothing that listens. */
const PERMISSIONS =
  'screen-wake-lock=(self), camera=(self), microphone=(), geolocation=(), payment=(), usb=(), serial=(), bluetooth=(), midi=(), display-capture=()';

/** Place for the style nonce in the built page. */
const NONCE = '__NONCE__';

/** What goes with an answer that is no page: it may load nothing, and is what it says it is. The rest is the page's. */
const NO_PAGE = {
  'Content-Security-Policy': "default-src 'none'; frame-ancestors 'none'",
  'Cross-Origin-Resource-Policy': 'same-origin',
  'X-Content-Type-Options': 'nosniff',
} as const;

/** Scripts, styles and fonts, named by what they hold: a browser keeps them for good. */
function serveAssets(app: Express, webDir: string): void {
  app.use(
    '/assets',
    compression(),
    // What was packed while the application was built is sent as it is.
    staticGzip(path.join(webDir, 'assets'), {
      index: false,
      serveStatic: {
        immutable: true,
        maxAge: '1y',
        lastModified: false,
        etag: false,
        // A worker is ruled by the policy of its own script: it may ask this server.
        setHeaders: (res) =>
          (res as Response).set({ ...NO_PAGE, 'Content-Security-Policy': "default-src 'self'" }),
      },
    }),
    (req, _res, next) =>
      next(new HttpProblem('noSuchPlace', { params: { path: req.originalUrl.slice(0, 120) } })),
  );
}

export function buildApp(parts: AppParts): Express {
  const app = express();
  app.disable('x-powered-by');
  // Answers are nobody's to keep, so nobody asks whether they are still the same.
  app.set('etag', false);
  const { openness } = parts;
  app.use(onlyOwnNames(openness, parts.devOrigin));
  const { webDir } = parts;
  if (webDir) serveAssets(app, webDir);
  app.use('/api', (_req, res, next) => {
    res.set(NO_PAGE);
    next();
  });
  // The event stream is written piece by piece: nothing may hold it back. Answers are packed quickly, what is kept tightly.
  app.use(
    '/api',
    compression({
      level: 1,
      filter: (req, res) => !req.originalUrl.startsWith('/api/stream') && compression.filter(req, res),
    }),
  );
  // Where no screen shows the code, the terminal does.
  const pairing = new PairingCode(
    parts.clock,
    hasFirstScreen(openness) ? undefined : (code) => parts.tell(`The code for letting a device in: ${code}`),
  );
  if (!hasFirstScreen(openness)) pairing.show();
  // Also nobody is let in or shut out: that would be forgotten with the copy in memory, or with the file that is replaced.
  app.use('/api', (req, _res, next) => {
    const writes = !['GET', 'HEAD'].includes(req.method) && req.path !== '/test/clock';
    if (writes && parts.readOnly) throw new HttpProblem('storage');
    if (writes && parts.imports.closed) throw new HttpProblem('beginningAnew');
    next();
  });
  app.use('/api', pairingRouter({ ...parts, pairing }));
  app.use('/api', onlyPaired(parts.db, parts.clock, openness));
  app.use('/api', accessRouter({ ...parts, pairing }));
  app.use('/api', apiRouter(parts));

  // From here on only pages, and what stands beside them: whatever is asked under /api has been answered.
  app.use((_req, res, next) => {
    res.set('Permissions-Policy', PERMISSIONS);
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
          // A photo is looked at before it is kept.
          imgSrc: ["'self'", 'data:', 'blob:'],
          objectSrc: ["'none'"],
          baseUri: ["'self'"],
          frameAncestors: ["'none'"],
          formAction: ["'self'"],
        },
      },
      strictTransportSecurity: false,
    }),
  );
  app.use(compression());

  // What devices are told to trust is no secret: they fetch it before they are let in.
  app.get('/authority.crt', (_req, res) => {
    const authority = parts.network.authority();
    if (!authority) throw new HttpProblem('noCertificate');
    res.set('Content-Disposition', 'attachment; filename="big-ladle-authority.crt"');
    res.type('application/x-x509-ca-cert').send(authority.pem);
  });

  if (webDir && existsSync(path.join(webDir, 'index.html'))) {
    const page = readFileSync(path.join(webDir, 'index.html'), 'utf8');
    app.use(express.static(webDir, { index: false }));
    // Every other address is a place in the application; its state stands in the address.
    app.get('/{*place}', (_req, res) => {
      res.set('Cache-Control', 'no-store').type('html').send(page.replaceAll(NONCE, res.locals.nonce));
    });
  }
  app.use(problemHandler(parts.report));
  return app;
}
