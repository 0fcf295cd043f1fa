import { Hono } from 'hono';
import { ladderStartOf } from '../../core/drill/ladderStart.ts';
import { atStage, tablesOf } from '../../core/drill/stage.ts';
import { adviceChoiceSchema } from '../../core/records/advice.ts';
import { underWaySchema } from '../../core/records/openRound.ts';
import { endRoundSchema, newRoundSchema } from '../../core/records/round.ts';
import { besideChangeSchema } from '../../core/records/screen.ts';
import { visibleLesson } from '../access/visibleLesson.ts';
import { visiblePlayer } from '../access/visiblePlayer.ts';
import { requireMayRewrite, visibleRound } from '../access/visibleRound.ts';
import type { SignedIn } from '../auth/session.ts';
import { queueBenchmark } from '../benchmarks/queue.ts';
import { ownerOf, revisionOf } from '../db/queries/drills.ts';
import {
  endRound,
  insertRound,
  recorderOf,
  reopenRound,
  storeAdvice,
  storeUnderWay,
  type RoundHead,
} from '../db/queries/rounds.ts';
import { tellBeside } from '../db/queries/screens.ts';
import type { Database } from '../db/pool.ts';
import type { Dependencies } from '../dependencies.ts';
import { readBody } from '../http/body.ts';
import { Refusal } from '../http/errors.ts';
import { requireUuid } from '../http/parameters.ts';
import { changeRound } from '../rounds/changing.ts';
import { drillOfRound, requirePlayable, setFor } from '../rounds/counting.ts';
import { openRoundOf, tableOf } from '../rounds/openRound.ts';
import { stateOf } from '../tables/states.ts';

/** Rounds: opened, gone on with, ended and opened again. */
export function roundRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();

  app.put('/:id', async (c) => {
    const viewer = c.get('viewer');
    const id = requireUuid(c.req.param('id'), 'round');
    const body = await readBody(c, newRoundSchema);
    const player = await visiblePlayer(deps, viewer, body.playerId);
    const played = await stateOf(deps.pool, viewer.clubId, {
      id: body.tableId,
      revision: body.tableRevision,
      conditionsId: body.conditionsId,
    });
    if (played === undefined) throw new Refusal(404, 'this table was not found', 'tableId');
    const owner = await ownerOf(deps.pool, viewer.clubId, body.drill);
    const written = await revisionOf(deps.pool, owner, body.drill, body.revision);
    if (written === undefined) throw new Refusal(404, 'this drill was not found', 'drill');
    if (!tablesOf(written.document).includes(played.state.card.preset)) {
      throw new Refusal(400, `tableId is another kind of table than the drill needs`, 'tableId');
    }
    const entry = setFor(written, { mirrored: body.mirrored, table: played.state.card });
    if (entry.document.stages[body.stage - 1] === undefined) {
      throw new Refusal(400, 'stage is not one of the drill', 'stage');
    }
    await deps.ensurePlan?.(entry, body.stage, played.table);
    requirePlayable(entry, body.stage, played);
    if (body.lesson !== null) await visibleLesson(deps, viewer, body.lesson.id);
    await insertRound(deps.pool, {
      id,
      clubId: viewer.clubId,
      playerId: player.id,
      recordedBy: viewer.id,
      tableId: body.tableId,
      tableRevision: body.tableRevision,
      conditionsId: body.conditionsId,
      tableFingerprint: played.fingerprint,
      drillOwner: owner,
      drill: body.drill,
      revision: body.revision,
      stage: body.stage,
      ladderStart: ladderStartOf(atStage(entry.document, body.stage), body.ladderStart),
      seed: body.seed,
      mirrored: body.mirrored,
      lesson: body.lesson,
      startedAt: new Date(body.startedAt),
    });
    return c.json(await openRoundOf(deps, viewer, await visibleRound(deps, viewer, id)));
  });

  app.get('/:id', async (c) => {
    const viewer = c.get('viewer');
    return c.json(await openRoundOf(deps, viewer, await visibleRound(deps, viewer, c.req.param('id'))));
  });

  app.post('/:id/end', async (c) => {
    const viewer = c.get('viewer');
    const round = await visibleRound(deps, viewer, c.req.param('id'));
    const body = await readBody(c, endRoundSchema);
    const { state, fingerprint } = await tableOf(deps, viewer, round);
    const setting = { card: state.card, conditions: state.conditions?.conditions ?? null };
    const entry = await drillOfRound(deps.pool, viewer.clubId, round);
    const { clubId } = viewer;
    const end = async (db: Database, head: RoundHead) => {
      await endRound(db, head.id, { at: new Date(body.endedAt), early: body.early });
      // A rating needs to know what the levels score here.
      await queueBenchmark(db, entry, round, { setting, fingerprint, clubId });
    };
    await changeRound(deps.pool, clubId, round, end, true);
    if (round.lesson !== null) await tellBeside(deps.pool, round.lesson.id, []);
    deps.wakeBenchmarks?.();
    return c.json({});
  });

  app.put('/:id/under-way', async (c) => {
    const round = await visibleRound(deps, c.get('viewer'), c.req.param('id'));
    const { log, at } = await readBody(c, underWaySchema);
    await storeUnderWay(deps.pool, round.id, log, new Date(at));
    return c.json({});
  });

  // For the second screen of the round's lesson; of a round outside of one nobody is told.
  app.put('/:id/beside', async (c) => {
    const viewer = c.get('viewer');
    const round = await visibleRound(deps, viewer, c.req.param('id'));
    if (!viewer.rules.screens || !viewer.rules.cameras)
      throw new Refusal(403, 'the club has no cameras or no second screens');
    const { beside } = await readBody(c, besideChangeSchema);
    // After a round is over nothing is to be set for it.
    if (round.lesson !== null)
      await tellBeside(deps.pool, round.lesson.id, round.endedAt === null ? beside : []);
    return c.json({});
  });

  app.put('/:id/advice', async (c) => {
    const viewer = c.get('viewer');
    const round = await visibleRound(deps, viewer, c.req.param('id'));
    if (round.advice !== null) {
      await requireMayRewrite(deps.pool, viewer, await recorderOf(deps.pool, round.id));
    }
    await storeAdvice(deps.pool, round.id, await readBody(c, adviceChoiceSchema));
    return c.json({});
  });

  /** Opens a round that was ended early again, with all that was scored in it. */
  app.post('/:id/reopen', async (c) => {
    const viewer = c.get('viewer');
    const round = await visibleRound(deps, viewer, c.req.param('id'));
    await changeRound(deps.pool, viewer.clubId, round, async (db, head) => {
      await requireMayRewrite(db, viewer, await recorderOf(db, head.id));
      await reopenRound(db, head.id);
    });
    return c.json({});
  });

  return app;
}
