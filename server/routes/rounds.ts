import { isDeepStrictEqual } from 'node:util';
import { Hono } from 'hono';
import { tablesOf } from '../../core/drill/stage.ts';
import type { OpenRound } from '../../core/records/openRound.ts';
import type { StoredAttempt } from '../../core/records/storedAttempt.ts';
import type { Viewer } from '../../core/records/account.ts';
import { adviceChoiceSchema } from '../../core/records/advice.ts';
import {
  attemptChangeSchema,
  attemptNotesSchema,
  newAttemptSchema,
  settleSchema,
} from '../../core/records/storedAttempt.ts';
import { endRoundSchema, newRoundSchema } from '../../core/records/round.ts';
import { underWaySchema } from '../../core/records/openRound.ts';
import { requireCoach, type SignedIn } from '../auth/session.ts';
import { queueBenchmark } from '../benchmarks/queue.ts';
import {
  changeAttempt,
  findAttempt,
  findStanding,
  insertAttempt,
  letStand,
  listConflicts,
  noteAttempt,
  setUndone,
  type KnownAttempt,
} from '../db/queries/attempts.ts';
import {
  completeRound,
  endRound,
  findRoundHead,
  findUnderWay,
  insertRound,
  lockRound,
  reopenRound,
  storeAdvice,
  storeResult,
  storeUnderWay,
  type KeptResult,
  type RoundHead,
} from '../db/queries/rounds.ts';
import { ownerOf } from '../db/queries/drills.ts';
import { inTransaction, type Database } from '../db/pool.ts';
import type { Dependencies } from '../dependencies.ts';
import { revisionOf } from '../drills/plans.ts';
import { stateOf, type PlayedTable } from '../tables/states.ts';
import { readBody } from '../http/body.ts';
import { notFound, Refusal } from '../http/errors.ts';
import { requireUuid } from '../http/parameters.ts';
import {
  countFor,
  drillOfRound,
  requireOnCloth,
  requirePlayable,
  keptOf,
  withResult,
} from '../rounds/counting.ts';
import { visibleLesson } from '../access/visibleLesson.ts';
import { visiblePlayer } from '../access/visiblePlayer.ts';

/** Whether two values are the same once they are sent: what is undefined is not there. */
function isSame(a: unknown, b: unknown): boolean {
  const sent = (value: unknown): unknown => JSON.parse(JSON.stringify(value));
  return isDeepStrictEqual(sent(a), sent(b));
}

export function roundRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();

  /** The round, if the viewer may see its player. */
  async function visibleRound(viewer: Viewer, id: string): Promise<RoundHead> {
    const round = await findRoundHead(deps.pool, viewer.clubId, requireUuid(id, 'round'));
    if (round === undefined || (viewer.role !== 'coach' && round.player.id !== viewer.id)) {
      throw notFound('this round');
    }
    return round;
  }

  /** The table as it was when the round was opened. */
  async function tableOf(viewer: Viewer, round: RoundHead): Promise<PlayedTable> {
    const played = await stateOf(deps.pool, viewer.clubId, round.table);
    if (played === undefined) throw notFound('the table of this round');
    return played;
  }

  /** All that a device needs to go on with a round. */
  async function openRoundOf(viewer: Viewer, head: RoundHead): Promise<OpenRound> {
    const { state } = await tableOf(viewer, head);
    const { document } = await drillOfRound(deps.pool, viewer.clubId, head);
    return {
      round: await withResult(deps.pool, viewer.clubId, await completeRound(deps.pool, head)),
      document,
      tableState: state,
      underWay: await findUnderWay(deps.pool, head.id),
      conflicts: [...(await listConflicts(deps.pool, head.id))],
    };
  }

  /** What a round comes to as its attempts stand now. */
  async function currentResult(db: Database, viewer: Viewer, head: RoundHead): Promise<KeptResult> {
    const { attempts } = await completeRound(db, head);
    return keptOf(await drillOfRound(db, viewer.clubId, head), head, attempts);
  }

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
    const entry = await revisionOf(deps.pool, owner, body.drill, body.revision);
    if (entry === undefined) throw new Refusal(404, 'this drill was not found', 'drill');
    if (!tablesOf(entry.document).includes(played.state.card.preset)) {
      throw new Refusal(400, `tableId is another kind of table than the drill needs`, 'tableId');
    }
    if (entry.document.stages[body.stage - 1] === undefined) {
      throw new Refusal(400, 'stage is not one of the drill', 'stage');
    }
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
      ladderStart: body.ladderStart,
      seed: body.seed,
      lesson: body.lesson,
      startedAt: new Date(body.startedAt),
    });
    return c.json(await openRoundOf(viewer, await visibleRound(viewer, id)));
  });

  app.get('/:id', async (c) => {
    const viewer = c.get('viewer');
    return c.json(await openRoundOf(viewer, await visibleRound(viewer, c.req.param('id'))));
  });

  app.post('/:id/end', async (c) => {
    const viewer = c.get('viewer');
    const round = await visibleRound(viewer, c.req.param('id'));
    const body = await readBody(c, endRoundSchema);
    await changing(viewer, round.id, async (db, head) => {
      const kept = await currentResult(db, viewer, head);
      await endRound(db, head.id, { at: new Date(body.endedAt), early: body.early, ...kept });
    });
    // A rating needs to know what the levels score here.
    const { state, fingerprint } = await tableOf(viewer, round);
    const setting = { card: state.card, conditions: state.conditions?.conditions ?? null };
    const entry = await drillOfRound(deps.pool, viewer.clubId, round);
    await queueBenchmark(deps.pool, entry, round.stage, { setting, fingerprint });
    deps.wakeBenchmarks?.();
    return c.json({});
  });

  app.put('/:id/under-way', async (c) => {
    const round = await visibleRound(c.get('viewer'), c.req.param('id'));
    const { log, at } = await readBody(c, underWaySchema);
    await storeUnderWay(deps.pool, round.id, log, new Date(at));
    return c.json({});
  });

  app.put('/:id/advice', async (c) => {
    const round = await visibleRound(c.get('viewer'), c.req.param('id'));
    await storeAdvice(deps.pool, round.id, await readBody(c, adviceChoiceSchema));
    return c.json({});
  });

  /** Runs a change of a round while no other one is made: what it reads stands until it is stored. */
  function changing<T>(
    viewer: Viewer,
    id: string,
    change: (db: Database, head: RoundHead) => Promise<T>,
  ): Promise<T> {
    return inTransaction(deps.pool, async (db) => {
      await lockRound(db, id);
      const head = await findRoundHead(db, viewer.clubId, id);
      if (head === undefined) throw notFound('this round');
      return change(db, head);
    });
  }

  app.put('/:id/attempts/:attempt', async (c) => {
    const viewer = c.get('viewer');
    const round = await visibleRound(viewer, c.req.param('id'));
    const id = requireUuid(c.req.param('attempt'), 'attempt');
    const body = await readBody(c, newAttemptSchema);
    const entry = await drillOfRound(deps.pool, viewer.clubId, round);
    const played = await tableOf(viewer, round);
    requireOnCloth(body, played);
    const attempt = countFor(entry, played, round, { id, ...body });
    const { created, ...stored } = await changing(viewer, round.id, async (db, head) => {
      const known = await findAttempt(db, id);
      if (known !== undefined) return { ...sentAgain(head, known), created: false };
      return keepAttempt(db, viewer, head, attempt);
    });
    return c.json(stored, created ? 201 : 200);
  });

  /**
   * An attempt whose id is known is there already. One that was taken back stays so: what comes late of a request that
   * was sent twice must not bring it back; whoever wants it again enters it as a new one.
   */
  function sentAgain(round: RoundHead, { attempt, contested, roundId }: KnownAttempt) {
    if (roundId !== round.id) {
      throw new Refusal(409, 'attempt has an id that another attempt has', 'attempt');
    }
    return { attempt, conflict: contested };
  }

  /**
   * Keeps a new attempt. For a shot that is scored already the same told twice is one, and another one waits until the
   * coach settles it; so does one that comes after the end of the round.
   */
  async function keepAttempt(db: Database, viewer: Viewer, round: RoundHead, attempt: StoredAttempt) {
    const standing = await findStanding(db, round.id, attempt.ordinal);
    if (standing !== undefined && isSame(standing.attempt.log, attempt.log)) {
      return { attempt: standing.attempt, conflict: false, created: false };
    }
    const contested = standing !== undefined || round.endedAt !== null;
    await insertAttempt(db, round.id, attempt, { recordedBy: viewer.id, contested });
    return { attempt, conflict: contested, created: !contested };
  }

  async function attemptOf(db: Database, round: RoundHead, id: string): Promise<KnownAttempt> {
    const known = await findAttempt(db, requireUuid(id, 'attempt'));
    if (known === undefined || known.roundId !== round.id) throw notFound('this attempt');
    return known;
  }

  app.delete('/:id/attempts/:attempt', async (c) => {
    const viewer = c.get('viewer');
    const round = await visibleRound(viewer, c.req.param('id'));
    // A shot taken back opens a round that was over again.
    await changing(viewer, round.id, async (db, head) => {
      const known = await findAttempt(db, requireUuid(c.req.param('attempt'), 'attempt'));
      // One that never got here has nothing to take back: it was refused, or another device had told the same.
      if (known === undefined || known.undone) return;
      if (known.roundId !== head.id) throw notFound('this attempt');
      await setUndone(db, known.attempt.id, new Date(deps.now()));
      if (!known.contested) await reopenRound(db, head.id);
    });
    return c.json({});
  });

  /** Opens a round that was ended early again, with all that was scored in it. */
  app.post('/:id/reopen', async (c) => {
    const viewer = c.get('viewer');
    const round = await visibleRound(viewer, c.req.param('id'));
    await changing(viewer, round.id, (db, head) => reopenRound(db, head.id));
    return c.json({});
  });

  /** A past attempt told otherwise: counted anew, with the reason, and what it was is kept. */
  app.post('/:id/attempts/:attempt/changes', async (c) => {
    const viewer = c.get('viewer');
    const round = await visibleRound(viewer, c.req.param('id'));
    const { log, reason, changedAt } = await readBody(c, attemptChangeSchema);
    const entry = await drillOfRound(deps.pool, viewer.clubId, round);
    const played = await tableOf(viewer, round);
    requireOnCloth({ log }, played);
    const attempt = await changing(viewer, round.id, async (db, head) => {
      const { attempt: before, undone } = await attemptOf(db, head, c.req.param('attempt'));
      if (undone) throw new Refusal(409, 'this attempt was taken back', 'attempt');
      const { id, ordinal, playedAt } = before;
      const counted = countFor(entry, played, head, { id, ordinal, log, playedAt });
      const told = { ...counted, changed: { reason, by: viewer.name, at: changedAt } };
      await changeAttempt(db, told, { by: viewer.id, reason, at: new Date(changedAt) });
      await storeResult(db, head.id, await currentResult(db, viewer, head));
      return told;
    });
    return c.json({ attempt, conflict: false });
  });

  /** More about an attempt that changes nothing of what it came to. */
  app.put('/:id/attempts/:attempt/notes', async (c) => {
    const viewer = c.get('viewer');
    const round = await visibleRound(viewer, c.req.param('id'));
    const { log } = await readBody(c, attemptNotesSchema);
    const played = await tableOf(viewer, round);
    requireOnCloth({ log }, played);
    const entry = await drillOfRound(deps.pool, viewer.clubId, round);
    const attempt = await changing(viewer, round.id, async (db, head) => {
      const { attempt: before } = await attemptOf(db, head, c.req.param('attempt'));
      const { id, ordinal, playedAt, changed } = before;
      const noted = { ...countFor(entry, played, head, { id, ordinal, log, playedAt }), changed };
      if (!isSame(noted.counted, before.counted)) {
        throw new Refusal(409, 'log would change the score: that needs a reason', 'log');
      }
      await noteAttempt(db, noted);
      await storeResult(db, head.id, await currentResult(db, viewer, head));
      return noted;
    });
    return c.json({ attempt, conflict: false });
  });

  /** Of two entries for one shot the coach says which one stands; the other is taken back, not lost. */
  app.post('/:id/attempts/:attempt/settle', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const round = await visibleRound(viewer, c.req.param('id'));
    const { keep } = await readBody(c, settleSchema);
    const now = new Date(deps.now());
    await changing(viewer, round.id, async (db, head) => {
      const { attempt: other, contested } = await attemptOf(db, head, c.req.param('attempt'));
      if (!contested) throw new Refusal(409, 'this attempt is not contested', 'attempt');
      if (keep === 'stored') {
        await setUndone(db, other.id, now);
        return;
      }
      const standing = await findStanding(db, head.id, other.ordinal);
      if (standing !== undefined) await setUndone(db, standing.attempt.id, now);
      await letStand(db, other.id);
      await storeResult(db, head.id, await currentResult(db, viewer, head));
    });
    return c.json(await openRoundOf(viewer, await visibleRound(viewer, round.id)));
  });

  return app;
}
