import { Hono } from 'hono';
import { benchmarkSchema } from '../../core/records/benchmark.ts';
import type { Viewer } from '../../core/records/club.ts';
import { LEVEL_TABLE_VERSION } from '../../core/player/levels.ts';
import { MODEL_VERSION } from '../../core/motion/simulate.ts';
import { buildTable, tableFingerprint } from '../../core/table/table.ts';
import { mostPoints } from '../../core/scoring/zonePoints.ts';
import { requireCoach, type SignedIn } from '../auth/session.ts';
import { findBenchmark, storeBenchmark, type BenchmarkKey } from '../db/queries/benchmarks.ts';
import { findDrill, listDrills } from '../db/queries/drills.ts';
import type { Dependencies } from '../dependencies.ts';
import { readBody } from '../http/body.ts';
import { notFound, Refusal } from '../http/errors.ts';

function wholeNumber(text: string, field: string): number {
  if (!/^\d{1,6}$/.test(text)) throw new Refusal(400, `${field} must be a whole number`, field);
  return Number(text);
}

export function drillRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();

  /** The key of a benchmark, and the most that a round of it can score. */
  async function benchmarkOf(
    slug: string,
    revision: string,
    stage: string,
  ): Promise<{ key: BenchmarkKey; maximum: number }> {
    const entry = await findDrill(deps.pool, slug, wholeNumber(revision, 'revision'));
    const number = wholeNumber(stage, 'stage');
    const chosen = entry?.document.stages[number - 1];
    if (entry === undefined || chosen === undefined) throw notFound('this drill, revision or stage');
    return {
      key: {
        drill: slug,
        revision: entry.revision,
        stage: number,
        tableFingerprint: tableFingerprint(buildTable(entry.document.table)),
        modelVersion: MODEL_VERSION,
        levelVersion: LEVEL_TABLE_VERSION,
      },
      maximum: entry.document.scoring.shots * mostPoints(chosen.bands),
    };
  }

  app.get('/', async (c) => c.json(await listDrills(deps.pool)));

  app.get('/:slug', async (c) => {
    const entry = await findDrill(deps.pool, c.req.param('slug'));
    if (entry === undefined) throw notFound('this drill');
    return c.json(entry);
  });

  app.get('/:slug/revisions/:revision/stages/:stage/benchmark', async (c) => {
    const { slug, revision, stage } = c.req.param();
    const { key } = await benchmarkOf(slug, revision, stage);
    return c.json({ benchmark: (await findBenchmark(deps.pool, key)) ?? null });
  });

  // Computed in the browser of whoever needed it first; only a coach's is believed.
  app.put('/:slug/revisions/:revision/stages/:stage/benchmark', async (c) => {
    const viewer: Viewer = c.get('viewer');
    requireCoach(viewer);
    const { slug, revision, stage } = c.req.param();
    const { key, maximum } = await benchmarkOf(slug, revision, stage);
    const benchmark = await readBody(c, benchmarkSchema);
    if (benchmark.levels.some((level) => level.round.length !== maximum + 1)) {
      throw new Refusal(
        400,
        `levels.round must hold the scores from 0 to ${String(maximum)}`,
        'levels.round',
      );
    }
    await storeBenchmark(deps.pool, key, benchmark);
    return c.json({ benchmark: (await findBenchmark(deps.pool, key)) ?? null });
  });

  return app;
}
