import { Hono } from 'hono';
import { newCallSchema, type NewCall } from '../../core/records/call.ts';
import type { Drill } from '../../core/records/drill.ts';
import type { SignedIn } from '../auth/session.ts';
import { findCall, insertCall } from '../db/queries/calls.ts';
import { newestRevision, ownerOf, revisionOf } from '../db/queries/drills.ts';
import type { Dependencies } from '../dependencies.ts';
import { readBody } from '../http/body.ts';
import { notFound, Refusal } from '../http/errors.ts';
import { requireUuid } from '../http/parameters.ts';
import { visiblePlayer } from '../access/visiblePlayer.ts';

export function callRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();
  /** Calls that are being scored: one that is sent again meanwhile waits for the same score. */
  const underWay = new Map<string, Promise<NewCall>>();

  /** The call with what it is worth: that is not for the device to say. @throws Refusal 400 for a position that there is not */
  async function scored(clubId: string, call: NewCall): Promise<NewCall> {
    const { source } = call;
    const drill = source.kind === 'drill' ? await newestOf(clubId, source.slug) : undefined;
    const scores = await deps.scoreCall({ call, drill });
    if (scores === undefined) {
      throw new Refusal(400, 'source gives no position of this kind on this table', 'source');
    }
    const { score, coachScore } = scores;
    const coach = call.coach === null || coachScore === null ? null : { ...call.coach, score: coachScore };
    return { ...call, score, coach };
  }

  /** Some positions take many seconds to find again; a device that waited too long sends its call once more. */
  function scoredOnce(id: string, clubId: string, call: NewCall): Promise<NewCall> {
    const key = JSON.stringify([id, clubId, call]);
    const known = underWay.get(key);
    if (known !== undefined) return known;
    const scoring = scored(clubId, call).finally(() => underWay.delete(key));
    underWay.set(key, scoring);
    return scoring;
  }

  async function newestOf(clubId: string, slug: string): Promise<Drill | undefined> {
    const owner = await ownerOf(deps.pool, clubId, slug);
    const revision = await newestRevision(deps.pool, owner, slug);
    return revision === undefined
      ? undefined
      : (await revisionOf(deps.pool, owner, slug, revision))?.document;
  }

  /** Keeps a call. Sent again it is answered by what was kept the first time. */
  app.put('/:id', async (c) => {
    const viewer = c.get('viewer');
    const id = requireUuid(c.req.param('id'), 'call');
    const body = await readBody(c, newCallSchema);
    const player = await visiblePlayer(deps, viewer, body.playerId);
    if (body.coach !== null && viewer.role !== 'coach') {
      throw new Refusal(403, 'coach: only a coach gives a second opinion', 'coach');
    }
    // What is known already is not worked out again: the same is sent twice when a reply was lost.
    if ((await findCall(deps.pool, id)) === undefined) {
      await insertCall(deps.pool, id, await scoredOnce(id, viewer.clubId, body));
    }
    const kept = await findCall(deps.pool, id);
    if (kept?.playerId !== player.id) throw notFound('this call');
    return c.json({ call: kept.call });
  });

  return app;
}
