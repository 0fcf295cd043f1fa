import { Hono, type Context } from 'hono';
import { benchmarkSchema } from '../../core/records/benchmark.ts';
import type { Viewer } from '../../core/records/club.ts';
import { LEVEL_TABLE_VERSION } from '../../core/player/levels.ts';
import { MODEL_VERSION } from '../../core/motion/simulate.ts';
import { buildTable, tableFingerprint } from '../../core/table/table.ts';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { atStage, tablesOf } from '../../core/drill/stage.ts';
import type { Drill } from '../../core/records/drill.ts';
import { mostPoints } from '../../core/counting/bands.ts';
import { requireCoach, type SignedIn } from '../auth/session.ts';
import { findBenchmark, storeBenchmark, type BenchmarkKey } from '../db/queries/benchmarks.ts';
import { findDrill, listDrills } from '../db/queries/drills.ts';
import type { Dependencies } from '../dependencies.ts';
import { stateOf } from '../tables/states.ts';
import { readBody } from '../http/body.ts';
import { notFound, Refusal } from '../http/errors.ts';
import { wholeNumber } from '../http/parameters.ts';

export function drillRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();

  /** The key of a benchmark, and the most that a round of it can score. */
  async function benchmarkOf(c: Context<SignedIn>): Promise<{ key: BenchmarkKey; maximum: number }> {
    const { slug = '', revision = '', stage = '' } = c.req.param();
    const entry = await findDrill(deps.pool, slug, wholeNumber(revision, 'revision'));
    const number = wholeNumber(stage, 'stage');
    const chosen = entry?.document.stages[number - 1];
    if (entry === undefined || chosen === undefined) throw notFound('this drill, revision or stage');
    const drill = atStage(entry.document, number);
    if (!isPositionDrill(drill)) throw notFound('a benchmark of this drill');
    return {
      key: {
        drill: slug,
        revision: entry.revision,
        stage: number,
        tableFingerprint: await fingerprintFor(c, entry.document),
        modelVersion: MODEL_VERSION,
        levelVersion: LEVEL_TABLE_VERSION,
      },
      maximum: drill.scoring.shots * mostPoints(chosen.bands),
    };
  }

  /** Of the club's table that the address names, or of the kind of table as it ships. */
  async function fingerprintFor(c: Context<SignedIn>, drill: Drill): Promise<string> {
    const { table, revision, conditions } = c.req.query();
    if (table === undefined) return tableFingerprint(buildTable(drill.table));
    const key = {
      id: table,
      revision: wholeNumber(revision ?? '', 'revision'),
      conditionsId: conditions ?? null,
    };
    const played = await stateOf(deps.pool, c.get('viewer').clubId, key);
    if (played === undefined) throw notFound('this table');
    if (!tablesOf(drill).includes(played.state.card.preset)) {
      throw new Refusal(400, 'table is another kind of table than the drill needs', 'table');
    }
    return played.fingerprint;
  }

  app.get('/', async (c) => c.json(await listDrills(deps.pool)));

  app.get('/:slug', async (c) => {
    const entry = await findDrill(deps.pool, c.req.param('slug'));
    if (entry === undefined) throw notFound('this drill');
    return c.json(entry);
  });

  app.get('/:slug/revisions/:revision/stages/:stage/benchmark', async (c) => {
    const { key } = await benchmarkOf(c);
    return c.json({ benchmark: (await findBenchmark(deps.pool, key)) ?? null });
  });

  // Computed in the browser of whoever needed it first; only a coach's is believed.
  app.put('/:slug/revisions/:revision/stages/:stage/benchmark', async (c) => {
    const viewer: Viewer = c.get('viewer');
    requireCoach(viewer);
    const { key, maximum } = await benchmarkOf(c);
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
