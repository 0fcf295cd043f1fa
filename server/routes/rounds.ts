import { Hono } from 'hono';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { atStage, tablesOf } from '../../core/drill/stage.ts';
import { UnplayableDrillError } from '../../core/drill/plannedShot.ts';
import type { OpenRound, StoredAttempt, Viewer } from '../../core/records/club.ts';
import {
  endRoundSchema,
  newAttemptSchema,
  newRoundSchema,
  type NewAttempt,
} from '../../core/records/round.ts';
import { InvalidShotError } from '../../core/motion/validate.ts';
import { reviewLanding } from '../../core/scoring/landing.ts';
import { zonePoints } from '../../core/scoring/zonePoints.ts';
import { mostPoints } from '../../core/counting/bands.ts';
import type { SignedIn } from '../auth/session.ts';
import { findAttempt, insertAttempt, setUndone } from '../db/queries/attempts.ts';
import {
  completeRound,
  endRound,
  findRoundHead,
  insertRound,
  reopenRound,
  type RoundHead,
} from '../db/queries/rounds.ts';
import { LIBRARY, ownerOf, type StoredDrill } from '../db/queries/drills.ts';
import { inTransaction, isDuplicate } from '../db/pool.ts';
import type { Dependencies } from '../dependencies.ts';
import { planFor, revisionOf } from '../drills/plans.ts';
import { stateOf, type PlayedTable } from '../tables/states.ts';
import { readBody } from '../http/body.ts';
import { notFound, Refusal } from '../http/errors.ts';
import { requireUuid } from '../http/parameters.ts';
import { visiblePlayer } from './players.ts';

/** A tap may be a little off the cloth, metres. */
const TAP_SLACK = 0.002;

/** A round is opened only where its shots can be counted: the planned stroke must do its work on this table. */
function requirePlayable(entry: StoredDrill, stage: number, { table }: PlayedTable): void {
  try {
    planFor(entry, stage, table);
  } catch (error) {
    const known =
      error instanceof UnplayableDrillError ||
      error instanceof InvalidShotError ||
      error instanceof RangeError;
    if (!known) throw error;
    throw new Refusal(400, `tableId: not on this table, for ${error.message}`, 'tableId');
  }
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

  async function drillOf({ clubId }: Viewer, round: RoundHead) {
    const owner = round.ownDrill ? clubId : LIBRARY;
    const entry = await revisionOf(deps.pool, owner, round.drill, round.revision);
    if (entry === undefined) throw notFound('the drill of this round');
    return entry;
  }

  /** The table as it was when the round was opened. */
  async function tableOf(viewer: Viewer, round: RoundHead): Promise<PlayedTable> {
    const played = await stateOf(deps.pool, viewer.clubId, round.table);
    if (played === undefined) throw notFound('the table of this round');
    return played;
  }

  /** Checks an attempt against its round and counts it: points, and how far from the plan it ended. */
  async function count(
    viewer: Viewer,
    round: RoundHead,
    id: string,
    attempt: NewAttempt,
  ): Promise<StoredAttempt> {
    const entry = await drillOf(viewer, round);
    const stage = entry.document.stages[round.stage - 1];
    if (stage === undefined) throw notFound('the stage of this round');
    if (attempt.ordinal > round.shots) {
      throw new Refusal(400, `ordinal must be at most ${String(round.shots)}`, 'ordinal');
    }
    if (attempt.points > mostPoints(stage.bands)) {
      throw new Refusal(400, `points must be at most ${String(mostPoints(stage.bands))}`, 'points');
    }
    if (attempt.outcome !== 'potted') {
      if (attempt.landing !== null) throw new Refusal(400, 'landing is only for a pot', 'landing');
      return { id, ...attempt, points: 0, along: null, across: null };
    }
    if (attempt.landing === null) throw new Refusal(400, 'landing is missing', 'landing');
    const { table } = await tableOf(viewer, round);
    const plan = planFor(entry, round.stage, table);
    const inset = table.preset.cueBallRadius - TAP_SLACK;
    const { landing } = attempt;
    for (const [axis, size] of [
      ['x', table.length],
      ['y', table.width],
    ] as const) {
      if (landing[axis] < inset || landing[axis] > size - inset) {
        throw new Refusal(400, `landing.${axis} is off the table`, `landing.${axis}`);
      }
    }
    const review = reviewLanding(plan, landing);
    return {
      id,
      ...attempt,
      landing,
      points: zonePoints('potted', landing, plan.window, stage.bands),
      along: review.along,
      across: review.across,
    };
  }

  /** All that a device needs to go on with a round. */
  async function openRoundOf(viewer: Viewer, head: RoundHead): Promise<OpenRound> {
    const { state } = await tableOf(viewer, head);
    const { document } = await drillOf(viewer, head);
    return { round: await completeRound(deps.pool, head), document, tableState: state };
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
    const drill = atStage(entry.document, body.stage);
    if (!isPositionDrill(drill)) throw new Refusal(400, 'drill is not scored shot by shot', 'drill');
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
      shots: drill.scoring.shots,
      startedAt: new Date(body.startedAt),
    });
    return c.json(await openRoundOf(viewer, await visibleRound(viewer, id)));
  });

  app.get('/:id', async (c) => {
    const viewer = c.get('viewer');
    return c.json(await openRoundOf(viewer, await visibleRound(viewer, c.req.param('id'))));
  });

  app.post('/:id/end', async (c) => {
    const round = await visibleRound(c.get('viewer'), c.req.param('id'));
    const body = await readBody(c, endRoundSchema);
    await endRound(deps.pool, round.id, new Date(body.endedAt), body.early);
    return c.json({});
  });

  app.put('/:id/attempts/:attempt', async (c) => {
    const round = await visibleRound(c.get('viewer'), c.req.param('id'));
    const id = requireUuid(c.req.param('attempt'), 'attempt');
    const body = await readBody(c, newAttemptSchema);
    if (round.endedAt === null) {
      const attempt = await count(c.get('viewer'), round, id, body);
      try {
        await insertAttempt(deps.pool, round.id, attempt);
        return c.json({ attempt }, 201);
      } catch (error) {
        if (!isDuplicate(error)) throw error;
      }
    }
    return c.json({ attempt: await alreadyThere(round, id, body.ordinal) });
  });

  /**
   * What becomes of an attempt that is not new, or comes after the end: sent again it is there already, taken back
   * it is brought back, and another one for the same shot is refused.
   */
  async function alreadyThere(round: RoundHead, id: string, ordinal: number): Promise<StoredAttempt> {
    const known = await findAttempt(deps.pool, id);
    if (known !== undefined && known.roundId !== round.id) {
      throw new Refusal(409, 'attempt has an id that another attempt has', 'attempt');
    }
    if (known !== undefined && !known.undone) return known.attempt;
    if (round.endedAt !== null) throw new Refusal(409, 'this round has ended', 'round');
    const taken = new Refusal(409, `shot ${String(ordinal)} of this round is already scored`, 'ordinal');
    if (known === undefined) throw taken;
    try {
      await setUndone(deps.pool, id, null);
      return known.attempt;
    } catch (error) {
      throw isDuplicate(error) ? taken : error;
    }
  }

  app.delete('/:id/attempts/:attempt', async (c) => {
    const round = await visibleRound(c.get('viewer'), c.req.param('id'));
    const known = await findAttempt(deps.pool, requireUuid(c.req.param('attempt'), 'attempt'));
    if (known === undefined || known.roundId !== round.id) throw notFound('this attempt');
    // A shot taken back opens a round that was over again.
    await inTransaction(deps.pool, async (db) => {
      if (!known.undone) await setUndone(db, known.attempt.id, new Date(deps.now()));
      await reopenRound(db, round.id);
    });
    return c.json({});
  });

  return app;
}
