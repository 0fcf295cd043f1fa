import { Hono, type Context } from 'hono';
import { benchmarkSchema } from '../../core/records/benchmark.ts';
import {
  archivedSchema,
  drillChangeSchema,
  favouriteSchema,
  importSchema,
  type ListedDrill,
  type Viewer,
} from '../../core/records/club.ts';
import { LEVEL_TABLE_VERSION } from '../../core/player/levels.ts';
import { MODEL_VERSION } from '../../core/motion/simulate.ts';
import { buildTable, tableFingerprint } from '../../core/table/table.ts';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { atStage, tablesOf } from '../../core/drill/stage.ts';
import type { Drill } from '../../core/records/drill.ts';
import { mostPoints } from '../../core/counting/bands.ts';
import { requireCoach, type SignedIn } from '../auth/session.ts';
import { findBenchmark, storeBenchmark, type BenchmarkKey } from '../db/queries/benchmarks.ts';
import {
  findDrill,
  listDrills,
  listRevisions,
  ownerOf,
  setArchived,
  setFavourite,
} from '../db/queries/drills.ts';
import { revisionOf } from '../drills/plans.ts';
import { importDrill, saveDrill } from '../drills/ownDrills.ts';
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
    const owner = await ownerOf(deps.pool, c.get('viewer').clubId, slug);
    const entry = await findDrill(deps.pool, owner, slug, wholeNumber(revision, 'revision'));
    const number = wholeNumber(stage, 'stage');
    const chosen = entry?.document.stages[number - 1];
    if (entry === undefined || chosen === undefined) throw notFound('this drill, revision or stage');
    const drill = atStage(entry.document, number);
    if (!isPositionDrill(drill)) throw notFound('a benchmark of this drill');
    return {
      key: {
        owner,
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

  /** A drill as the viewer's club has it. */
  async function listed({ clubId, id }: Viewer, slug: string): Promise<ListedDrill> {
    const [drill] = await listDrills(deps.pool, clubId, id, slug);
    if (drill === undefined) throw notFound('this drill');
    return drill;
  }

  app.get('/', async (c) => {
    const { clubId, id } = c.get('viewer');
    return c.json(await listDrills(deps.pool, clubId, id));
  });

  // A drill that a file brings. Its name may be another drill's of the library: then it gets one of its own.
  app.post('/import', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const { document } = await readBody(c, importSchema);
    return c.json(await importDrill(deps.pool, viewer, document));
  });

  app.get('/:slug', async (c) => c.json(await listed(c.get('viewer'), c.req.param('slug'))));

  app.put('/:slug', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const { document, basedOn } = await readBody(c, drillChangeSchema);
    if (document.slug !== c.req.param('slug')) {
      throw new Refusal(400, 'document.slug is not that of the address', 'document.slug');
    }
    await saveDrill(deps.pool, viewer, document, basedOn);
    return c.json(await listed(viewer, document.slug));
  });

  app.put('/:slug/archived', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const { archived } = await readBody(c, archivedSchema);
    const slug = c.req.param('slug');
    const at = archived ? new Date(deps.now()) : null;
    if (!(await setArchived(deps.pool, viewer.clubId, slug, at))) throw notFound('this drill of the club');
    return c.json(await listed(viewer, slug));
  });

  app.put('/:slug/favourite', async (c) => {
    const viewer = c.get('viewer');
    const { favourite } = await readBody(c, favouriteSchema);
    const { document } = await listed(viewer, c.req.param('slug'));
    await setFavourite(deps.pool, viewer.id, document.slug, favourite);
    return c.json(await listed(viewer, document.slug));
  });

  app.get('/:slug/revisions', async (c) => {
    const { clubId } = c.get('viewer');
    const slug = c.req.param('slug');
    const revisions = await listRevisions(deps.pool, clubId, await ownerOf(deps.pool, clubId, slug), slug);
    if (revisions.length === 0) throw notFound('this drill');
    return c.json(revisions);
  });

  app.get('/:slug/revisions/:revision', async (c) => {
    const slug = c.req.param('slug');
    const owner = await ownerOf(deps.pool, c.get('viewer').clubId, slug);
    const number = wholeNumber(c.req.param('revision'), 'revision');
    const entry = await revisionOf(deps.pool, owner, slug, number);
    if (entry === undefined) throw notFound('this revision of the drill');
    return c.json({ revision: entry.revision, document: entry.document });
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
