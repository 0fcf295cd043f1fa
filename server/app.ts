import { serveStatic } from '@hono/node-server/serve-static';
import { Hono } from 'hono';
import { csrf } from 'hono/csrf';
import { secureHeaders } from 'hono/secure-headers';
import { requireSession, type SignedIn } from './auth/session.ts';
import { TooManyTries } from './auth/throttle.ts';
import type { Dependencies } from './dependencies.ts';
import { answerOf, Refusal } from './http/errors.ts';
import { rememberRequest } from './http/asking.ts';
import { accountRoutes } from './routes/account.ts';
import { attemptRoutes } from './routes/attempts.ts';
import { benchmarkRoutes } from './routes/benchmarks.ts';
import { callRoutes } from './routes/calls.ts';
import { clubRoutes } from './routes/clubs.ts';
import { coachRoutes } from './routes/coaches.ts';
import { correctionRoutes } from './routes/corrections.ts';
import { drillRoutes } from './routes/drills.ts';
import { exportRoutes } from './routes/exports.ts';
import { cueRoutes } from './routes/cues.ts';
import { hallRoutes } from './routes/halls.ts';
import { healthRoutes } from './routes/health.ts';
import { eveningRoutes } from './routes/evenings.ts';
import { lessonRoutes } from './routes/lessons.ts';
import { playerCareRoutes } from './routes/playerCare.ts';
import { playerRoutes } from './routes/players.ts';
import { programmeRoutes } from './routes/programmes.ts';
import { reportRoutes } from './routes/reports.ts';
import { roundRoutes } from './routes/rounds.ts';
import { screenRoutes } from './routes/screens.ts';
import { tableRoutes } from './routes/tables.ts';
import { todayRoutes } from './routes/today.ts';

/** A year: browsers speak only HTTPS with this address from then on. */
const HSTS = 'max-age=31536000';
/** Built files carry a digest in their names, so they never change. */
const FOREVER = 'public, max-age=31536000, immutable';

/** The application: routes, who may call them, and how errors are told. No socket, no environment. */
export function createApp(deps: Dependencies): Hono<SignedIn> {
  const app = new Hono<SignedIn>();
  app.use(
    secureHeaders({
      contentSecurityPolicy: {
        defaultSrc: ["'self'"],
        // A camera's program on the same device.
        connectSrc: ["'self'", 'http://127.0.0.1:*', 'http://localhost:*'],
        imgSrc: ["'self'", 'data:'],
        // Mantine sets its variables in style attributes and elements.
        styleSrc: ["'self'", "'unsafe-inline'"],
        workerSrc: ["'self'"],
        objectSrc: ["'none'"],
        baseUri: ["'self'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
      },
      strictTransportSecurity: deps.secureCookies ? HSTS : false,
    }),
  );
  app.use('/api/*', rememberRequest);
  app.use('/api/*', async (c, next) => {
    // What is somebody's own is kept by no browser and no proxy on the way.
    c.header('Cache-Control', 'no-store');
    // It would be made to be thrown away: a whole backup, for nothing.
    if (c.req.method === 'HEAD') {
      c.header('Allow', 'GET');
      throw new Refusal(405, 'HEAD is not answered here: use GET');
    }
    await next();
  });
  app.use('/api/*', csrf());

  const api = new Hono<SignedIn>();
  api.route('/health', healthRoutes(deps));
  api.route('/screens', screenRoutes(deps));
  api.route('/', accountRoutes(deps));
  const signedIn = requireSession(deps);
  for (const [path, routes] of [
    ['/today', todayRoutes(deps)],
    ['/players', playerRoutes(deps)],
    ['/players', playerCareRoutes(deps)],
    ['/tables', tableRoutes(deps)],
    ['/drills', drillRoutes(deps)],
    ['/drills', benchmarkRoutes(deps)],
    ['/lessons', lessonRoutes(deps)],
    ['/evenings', eveningRoutes(deps)],
    ['/programmes', programmeRoutes(deps)],
    ['/reports', reportRoutes(deps)],
    ['/club', clubRoutes(deps)],
    ['/coaches', coachRoutes(deps)],
    ['/halls', hallRoutes(deps)],
    ['/cues', cueRoutes(deps)],
    ['/export', exportRoutes(deps)],
    ['/rounds', correctionRoutes(deps)],
    ['/rounds', roundRoutes(deps)],
    ['/rounds', attemptRoutes(deps)],
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
    const { status, message, field } = answerOf(error);
    if (status >= 500)
      deps.log.error({ err: error, method: c.req.method, path: c.req.path }, 'a request failed');
    if (status === 503) c.header('Retry-After', '2');
    if (error instanceof TooManyTries) c.header('Retry-After', String(error.seconds));
    return c.json({ error: { message, field } }, status);
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
