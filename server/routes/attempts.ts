import { isDeepStrictEqual } from 'node:util';
import { Hono } from 'hono';
import type { Viewer } from '../../core/records/account.ts';
import type { StoredAttempt } from '../../core/records/storedAttempt.ts';
import {
  attemptChangeSchema,
  attemptNotesSchema,
  newAttemptSchema,
  settleSchema,
} from '../../core/records/storedAttempt.ts';
import { requireMayRewrite, visibleRound } from '../access/visibleRound.ts';
import { auditAt } from '../access/audit.ts';
import { requireCoach, type SignedIn } from '../auth/session.ts';
import {
  changeAttempt,
  findAttempt,
  findPresent,
  insertAttempt,
  insertWhileOpen,
  letStand,
  noteAttempt,
  setUndone,
  type KnownAttempt,
} from '../db/queries/attempts.ts';
import { reopenRound, type RoundHead } from '../db/queries/rounds.ts';
import type { Database } from '../db/pool.ts';
import type { Dependencies } from '../dependencies.ts';
import { readBody } from '../http/body.ts';
import { notFound, Refusal } from '../http/errors.ts';
import { requireUuid } from '../http/parameters.ts';
import { attemptOf, changeRound } from '../rounds/changing.ts';
import { countFor, drillOfRound, requireOnCloth } from '../rounds/counting.ts';
import { openRoundOf, tableOf } from '../rounds/openRound.ts';

/** Whether two values are the same once they are sent: what is undefined is not there. */
function isSame(a: unknown, b: unknown): boolean {
  const sent = (value: unknown): unknown => JSON.parse(JSON.stringify(value));
  return isDeepStrictEqual(sent(a), sent(b));
}

/** The attempts of rounds: entered, taken back, told otherwise, and settled. */
export function attemptRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();

  const note = auditAt(deps.now);

  app.put('/:id/attempts/:attempt', async (c) => {
    const viewer = c.get('viewer');
    const round = await visibleRound(deps, viewer, c.req.param('id'));
    const id = requireUuid(c.req.param('attempt'), 'attempt');
    const body = await readBody(c, newAttemptSchema);
    const entry = await drillOfRound(deps.pool, viewer.clubId, round);
    const played = await tableOf(deps, viewer, round);
    requireOnCloth(body, played);
    await deps.ensurePlan?.(entry, round.stage, played.table);
    const attempt = countFor(entry, played, round, { id, ...body });
    // Nearly always the round is open and nothing is there of this shot yet.
    if (await insertWhileOpen(deps.pool, viewer.clubId, round.id, attempt, viewer.id)) {
      return c.json({ attempt, conflict: false }, 201);
    }
    const { created, ...stored } = await changeRound(deps.pool, viewer.clubId, round, async (db, head) => {
      // The round may have been opened again since, or the shot taken back.
      const entry = { recordedBy: viewer.id, contested: false };
      if (head.endedAt === null && (await insertAttempt(db, head.id, attempt, entry))) {
        return { attempt, conflict: false, created: true };
      }
      const { known, standing } = await findPresent(db, head.id, attempt);
      if (known !== undefined) return { ...sentAgain(head, known), created: false };
      return keepBeside(db, viewer, head, attempt, standing);
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
   * Keeps an attempt of a shot that is scored already: the same told twice is one, and another one waits until the coach
   * settles it; so does one that comes after the end of the round.
   */
  async function keepBeside(
    db: Database,
    viewer: Viewer,
    round: RoundHead,
    attempt: StoredAttempt,
    standing: KnownAttempt | undefined,
  ) {
    if (standing !== undefined && isSame(standing.attempt.log, attempt.log)) {
      return { attempt: standing.attempt, conflict: false, created: false };
    }
    if (!(await insertAttempt(db, round.id, attempt, { recordedBy: viewer.id, contested: true }))) {
      throw new Refusal(409, 'attempt has an id that another attempt has', 'attempt');
    }
    return { attempt, conflict: true, created: false };
  }

  app.delete('/:id/attempts/:attempt', async (c) => {
    const viewer = c.get('viewer');
    const round = await visibleRound(deps, viewer, c.req.param('id'));
    // A shot taken back opens a round that was over again.
    await changeRound(deps.pool, viewer.clubId, round, async (db, head) => {
      const known = await findAttempt(db, requireUuid(c.req.param('attempt'), 'attempt'));
      // One that never got here has nothing to take back: it was refused, or another device had told the same.
      if (known === undefined || known.undone) return;
      if (known.roundId !== head.id) throw notFound('this attempt');
      await requireMayRewrite(db, viewer, known.recordedBy);
      await setUndone(db, known.attempt.id, new Date(deps.now()));
      if (!known.contested) await reopenRound(db, head.id);
    });
    return c.json({});
  });

  /** A past attempt told otherwise: counted anew, with the reason, and what it was is kept. */
  app.post('/:id/attempts/:attempt/changes', async (c) => {
    const viewer = c.get('viewer');
    const round = await visibleRound(deps, viewer, c.req.param('id'));
    const { log, reason, changedAt } = await readBody(c, attemptChangeSchema);
    const entry = await drillOfRound(deps.pool, viewer.clubId, round);
    const played = await tableOf(deps, viewer, round);
    requireOnCloth({ log }, played);
    await deps.ensurePlan?.(entry, round.stage, played.table);
    const attempt = await changeRound(deps.pool, viewer.clubId, round, async (db, head) => {
      const { attempt: before, undone, recordedBy } = await attemptOf(db, head, c.req.param('attempt'));
      await requireMayRewrite(db, viewer, recordedBy);
      if (undone) throw new Refusal(409, 'this attempt was taken back', 'attempt');
      const { id, ordinal, playedAt } = before;
      const counted = countFor(entry, played, head, { id, ordinal, log, playedAt });
      const told = { ...counted, changed: { reason, by: viewer.name, at: changedAt } };
      await changeAttempt(db, told, { by: viewer.id, reason, at: new Date(changedAt) });
      await note(db, viewer, { action: 'attempt changed', subject: 'round', subjectId: head.id, reason });
      return told;
    });
    return c.json({ attempt, conflict: false });
  });

  /** More about an attempt that changes nothing of what it came to. */
  app.put('/:id/attempts/:attempt/notes', async (c) => {
    const viewer = c.get('viewer');
    const round = await visibleRound(deps, viewer, c.req.param('id'));
    const { log } = await readBody(c, attemptNotesSchema);
    const played = await tableOf(deps, viewer, round);
    requireOnCloth({ log }, played);
    const entry = await drillOfRound(deps.pool, viewer.clubId, round);
    await deps.ensurePlan?.(entry, round.stage, played.table);
    const attempt = await changeRound(deps.pool, viewer.clubId, round, async (db, head) => {
      const { attempt: before, recordedBy } = await attemptOf(db, head, c.req.param('attempt'));
      await requireMayRewrite(db, viewer, recordedBy);
      const { id, ordinal, playedAt, changed } = before;
      const noted = { ...countFor(entry, played, head, { id, ordinal, log, playedAt }), changed };
      if (!isSame(noted.counted, before.counted)) {
        throw new Refusal(409, 'log would change the score: that needs a reason', 'log');
      }
      await noteAttempt(db, noted);
      return noted;
    });
    return c.json({ attempt, conflict: false });
  });

  /** Of two entries for one shot the coach says which one stands; the other is taken back, not lost. */
  app.post('/:id/attempts/:attempt/settle', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const round = await visibleRound(deps, viewer, c.req.param('id'));
    const { keep } = await readBody(c, settleSchema);
    const now = new Date(deps.now());
    await changeRound(deps.pool, viewer.clubId, round, async (db, head) => {
      const { attempt: other, contested } = await attemptOf(db, head, c.req.param('attempt'));
      if (!contested) throw new Refusal(409, 'this attempt is not contested', 'attempt');
      if (keep === 'stored') {
        await setUndone(db, other.id, now);
        return;
      }
      const { standing } = await findPresent(db, head.id, other);
      if (standing !== undefined) await setUndone(db, standing.attempt.id, now);
      await letStand(db, other.id);
      await note(db, viewer, { action: 'entry settled', subject: 'round', subjectId: head.id });
    });
    return c.json(await openRoundOf(deps, viewer, await visibleRound(deps, viewer, round.id)));
  });

  return app;
}
