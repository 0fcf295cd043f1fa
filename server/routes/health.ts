import { Hono } from 'hono';
import { countJobs } from '../db/queries/benchmarkJobs.ts';
import type { Dependencies } from '../dependencies.ts';

/** For whoever watches over the servers: whether this one and its database answer, and what waits to be computed. */
export function healthRoutes(deps: Dependencies) {
  const app = new Hono();

  app.get('/', async (c) => {
    try {
      const jobs = await countJobs(deps.pool);
      return c.json({ ok: true, database: 'answers', queue: jobs });
    } catch {
      return c.json({ ok: false, database: 'does not answer', queue: null }, 503);
    }
  });

  return app;
}
