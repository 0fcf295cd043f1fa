import { serveStatic } from '@hono/node-server/serve-static';
import { Hono } from 'hono';
import { bodyLimit } from 'hono/body-limit';
import { except } from 'hono/combine';
import { csrf } from 'hono/csrf';
import { HTTPException } from 'hono/http-exception';
import { secureHeaders } from 'hono/secure-headers';
import { requireSession, type SignedIn } from './auth/session.ts';
import type { Dependencies } from './dependencies.ts';
import { Refusal } from './http/errors.ts';
import { accountRoutes } from './routes/account.ts';
import { benchmarkRoutes } from './routes/benchmarks.ts';
import { callRoutes } from './routes/calls.ts';
import { clubRoutes } from './routes/clubs.ts';
import { drillRoutes } from './routes/drills.ts';
import { exportRoutes } from './routes/exports.ts';
import { lessonRoutes } from './routes/lessons.ts';
import { playerRoutes } from './routes/players.ts';
import { programmeRoutes } from './routes/programmes.ts';
import { reportRoutes } from './routes/reports.ts';
import { roundRoutes } from './routes/rounds.ts';
import { tableRoutes } from './routes/tables.ts';
import { todayRoutes } from './routes/today.ts';

/** A benchmark, the largest thing that is sent, has some 5 kB. */
const LARGEST_BODY = 64 * 1024;
/** Only a backup that is brought back is larger. */
const LARGEST_BACKUP = 256 * 1024 * 1024;
const RESTORE = '/api/export/restore';

/** Refuses bodies that are larger than this, bytes. */
function atMost(maxSize: number) {
  return bodyLimit({
    maxSize,
    onError: () => {
      throw new Refusal(413, `the body must be at most ${String(maxSize)} bytes`, 'body');
    },
  });
}
/** Built files carry a digest in their names, so they never change. */
const FOREVER = 'public, max-age=31536000, immutable';

/** The application: routes, who may call them, and how errors are told. No socket, no environment. */
export function createApp(deps: Dependencies): Hono<SignedIn> {
  const app = new Hono<SignedIn>();
  app.use(
    secureHeaders({
      contentSecurityPolicy: {
        defaultSrc: ["'self'"],
        imgSrc: ["'self'", 'data:'],
        // Mantine sets its variables in style attributes and elements.
        styleSrc: ["'self'", "'unsafe-inline'"],
        workerSrc: ["'self'"],
        frameAncestors: ["'none'"],
      },
    }),
  );
  app.use('/api/*', csrf());
  app.use('/api/*', except(RESTORE, atMost(LARGEST_BODY)));
  app.use(RESTORE, atMost(LARGEST_BACKUP));

  const api = new Hono<SignedIn>();
  api.get('/health', (c) => c.json({ ok: true }));
  api.route('/', accountRoutes(deps));
  const signedIn = requireSession(deps);
  for (const [path, routes] of [
    ['/today', todayRoutes(deps)],
    ['/players', playerRoutes(deps)],
    ['/tables', tableRoutes(deps)],
    ['/drills', drillRoutes(deps)],
    ['/drills', benchmarkRoutes(deps)],
    ['/lessons', lessonRoutes(deps)],
    ['/programmes', programmeRoutes(deps)],
    ['/reports', reportRoutes(deps)],
    ['/club', clubRoutes(deps)],
    ['/export', exportRoutes(deps)],
    ['/rounds', roundRoutes(deps)],
    ['/calls', callRoutes(deps)],
  ] as const) {
    api.use(path, signedIn);
    api.use(`${path}/*`, signedIn);
    api.route(path, routes);
  }
  app.route('/api', api);

  app.all('/api/*', () => {
    throw new Refusal(404, 'there is no such address');
  });
  if (deps.webFolder !== undefined) serveInterface(app, deps.webFolder);

  app.onError((error, c) => {
    if (error instanceof Refusal) {
      return c.json({ error: { message: error.message, field: error.field ?? null } }, error.status);
    }
    if (error instanceof HTTPException) {
      return c.json({ error: { message: 'the request was refused', field: null } }, error.status);
    }
    deps.log.error({ err: error, path: c.req.path }, 'a request failed');
    return c.json(
      {
        error: {
          message: 'something went wrong here; nothing was changed. Try again in a moment.',
          field: null,
        },
      },
      500,
    );
  });
  return app;
}

/** The built interface; any other address gets its page, and the interface's own router takes over. */
function serveInterface(app: Hono<SignedIn>, root: string): void {
  app.use(
    '/assets/*',
    serveStatic({ root, precompressed: true, onFound: (_path, c) => c.header('Cache-Control', FOREVER) }),
  );
  for (const name of ['favicon.svg', 'icon-192.png', 'icon-512.png', 'icon-maskable-512.png']) {
    app.get(`/${name}`, serveStatic({ root }));
  }
  // The service worker and what it loads are looked for anew each time: they decide which version is on a device.
  for (const name of ['/sw.js', '/:file{workbox-[0-9a-f]+\\.js}', '/manifest.webmanifest']) {
    app.get(name, serveStatic({ root, onFound: (_path, c) => c.header('Cache-Control', 'no-cache') }));
  }
  app.get(
    '*',
    serveStatic({
      root,
      path: 'index.html',
      onFound: (_path, c) => c.header('Cache-Control', 'no-cache'),
    }),
  );
}
