import { Hono, type Context } from 'hono';
import { mostPoints } from '../../core/counting/bands.ts';
import type { Beginning } from '../../core/drill/ladderStart.ts';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { atStage, tablesOf } from '../../core/drill/stage.ts';
import { benchmarkSchema } from '../../core/records/benchmark.ts';
import { fixedBandsSchema } from '../../core/records/fixedBands.ts';
import type { BenchmarkReply } from '../../core/records/benchmarkReply.ts';
import type { BenchmarkJob } from '../../core/records/benchmarkJob.ts';
import type { Drill } from '../../core/records/drill.ts';
import { standardCard, tableOfCard } from '../../core/table/card.ts';
import { tableFingerprint } from '../../core/table/table.ts';
import { canBePlayed } from '../../core/virtual/playRound.ts';
import { requireCoach, type SignedIn } from '../auth/session.ts';
import { benchmarkKey, queueBenchmark } from '../benchmarks/queue.ts';
import { clubResults } from '../benchmarks/clubResults.ts';
import { cancelJob, findJob, type JobSetting } from '../db/queries/benchmarkJobs.ts';
import { keepBenchmark } from '../benchmarks/known.ts';
import { findBenchmark, type BenchmarkKey } from '../db/queries/benchmarks.ts';
import { findDrill, ownerOf, type StoredDrill } from '../db/queries/drills.ts';
import { findFixedBands, storeFixedBands } from '../db/queries/fixedBands.ts';
import type { Dependencies } from '../dependencies.ts';
import { readBody } from '../http/body.ts';
import { notFound, Refusal } from '../http/errors.ts';
import { requireSlug, requireUuid, wholeNumber } from '../http/parameters.ts';
import { stateOf } from '../tables/states.ts';

/** A drill, begun at a stage and a rung of it, on a table: what a benchmark is of. */
interface Asked extends Beginning {
  readonly entry: StoredDrill;
  readonly key: BenchmarkKey;
  readonly setting: JobSetting;
  readonly fingerprint: string;
}

/** What virtual players, the club's players and the coach's own marks say of a drill. */
export function benchmarkRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();

  async function asked(c: Context<SignedIn>): Promise<Asked> {
    const { slug: name = '', revision = '', stage: number = '' } = c.req.param();
    const slug = requireSlug(name);
    const owner = await ownerOf(deps.pool, c.get('viewer').clubId, slug);
    const entry = await findDrill(deps.pool, owner, slug, wholeNumber(revision, 'revision'));
    const stage = wholeNumber(number, 'stage');
    if (entry?.document.stages[stage - 1] === undefined) throw notFound('this drill, revision or stage');
    const begun = { stage, ladderStart: wholeNumber(c.req.query('start') ?? '0', 'start') };
    const { setting, fingerprint } = await settingOf(c, entry.document);
    return { entry, ...begun, key: benchmarkKey(entry, begun, fingerprint), setting, fingerprint };
  }

  /** The club's table that the address names, or the kind of table as it ships. */
  async function settingOf(
    c: Context<SignedIn>,
    drill: Drill,
  ): Promise<{ readonly setting: JobSetting; readonly fingerprint: string }> {
    const { table, revision, conditions } = c.req.query();
    if (table === undefined) {
      const setting = { card: standardCard(drill.table), conditions: null };
      return { setting, fingerprint: tableFingerprint(tableOfCard(setting.card, null)) };
    }
    const key = {
      id: requireUuid(table, 'table'),
      revision: wholeNumber(revision ?? '', 'revision'),
      conditionsId: conditions === undefined ? null : requireUuid(conditions, 'conditions'),
    };
    const played = await stateOf(deps.pool, c.get('viewer').clubId, key);
    if (played === undefined) throw notFound('this table');
    const { card, conditions: noted } = played.state;
    if (!tablesOf(drill).includes(card.preset)) {
      throw new Refusal(400, 'table is another kind of table than the drill needs', 'table');
    }
    return {
      setting: { card, conditions: noted?.conditions ?? null },
      fingerprint: played.fingerprint,
    };
  }

  async function reply(
    c: Context<SignedIn>,
    { entry, stage, key }: Asked,
    cancelled?: BenchmarkJob,
  ): Promise<BenchmarkReply> {
    const { clubId, role } = c.get('viewer');
    return {
      benchmark: (await findBenchmark(deps.pool, key)) ?? null,
      job: cancelled ?? (await findJob(deps.pool, key, clubId)) ?? null,
      playable: canBePlayed(entry.document),
      fixed: (await findFixedBands(deps.pool, clubId, entry.document.slug, stage)) ?? null,
      club: (await clubResults(deps.pool, clubId, key, role)) ?? null,
    };
  }

  const path = '/:slug/revisions/:revision/stages/:stage/benchmark';

  app.get(path, async (c) => c.json(await reply(c, await asked(c))));

  // Computed in the browser of whoever needed it first; only a coach's is believed, and only of single shots.
  app.put(path, async (c) => {
    requireCoach(c.get('viewer'));
    const subject = await asked(c);
    const drill = atStage(subject.entry.document, subject.stage);
    const bands = drill.stages[subject.stage - 1]?.bands ?? [];
    if (!isPositionDrill(drill)) throw notFound('a benchmark of single shots of this drill');
    const maximum = drill.scoring.shots * mostPoints(bands);
    const benchmark = await readBody(c, benchmarkSchema);
    if (benchmark.levels.some((level) => level.round.length !== maximum + 1)) {
      throw new Refusal(
        400,
        `levels.round must hold the scores from 0 to ${String(maximum)}`,
        'levels.round',
      );
    }
    // One that is known stays: whoever comes second cannot change what others see.
    if ((await findBenchmark(deps.pool, subject.key)) === undefined) {
      await keepBenchmark(deps.pool, subject.key, benchmark);
    }
    return c.json(await reply(c, subject));
  });

  // Played by the server, in the background.
  app.post(`${path}/job`, async (c) => {
    requireCoach(c.get('viewer'));
    const subject = await asked(c);
    if (!canBePlayed(subject.entry.document)) throw notFound('a virtual player for this drill');
    await queueBenchmark(deps.pool, subject.entry, subject, {
      ...subject,
      clubId: c.get('viewer').clubId,
    });
    deps.wakeBenchmarks?.();
    return c.json(await reply(c, subject));
  });

  app.delete(`${path}/job`, async (c) => {
    requireCoach(c.get('viewer'));
    const subject = await asked(c);
    const cancelled = await cancelJob(deps.pool, subject.key, c.get('viewer').clubId);
    return c.json(await reply(c, subject, cancelled));
  });

  app.put('/:slug/revisions/:revision/stages/:stage/bands', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const subject = await asked(c);
    const { from } = await readBody(c, fixedBandsSchema);
    await storeFixedBands(deps.pool, viewer.clubId, subject.entry.document.slug, subject.stage, from);
    return c.json(await reply(c, subject));
  });

  return app;
}
