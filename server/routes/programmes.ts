import { Hono } from 'hono';
import { addDays } from '../../core/programme/days.ts';
import { isTickable } from '../../core/programme/donePlanned.ts';
import { archivedSchema } from '../../core/records/listedDrill.ts';
import type { Viewer } from '../../core/records/account.ts';
import {
  programmeChangeSchema,
  programmeCopiesSchema,
  tickSchema,
  type Programme,
} from '../../core/records/programme.ts';
import {
  answerBackSchema,
  proposalAnswerSchema,
  type ProgrammeProposals,
} from '../../core/records/programmeProposal.ts';
import { requireCoach, type SignedIn } from '../auth/session.ts';
import {
  archiveProgramme,
  findProgramme,
  insertProgramme,
  listProgrammes,
  tickItem,
  updateProgramme,
} from '../db/queries/programmes.ts';
import { listAnswers } from '../db/queries/programmeAnswers.ts';
import { inTransaction } from '../db/pool.ts';
import type { Dependencies } from '../dependencies.ts';
import { readBody } from '../http/body.ts';
import { notFound, Refusal } from '../http/errors.ts';
import { requireUuid } from '../http/parameters.ts';
import { answerProposal, takeAnswerBack } from '../programmes/answering.ts';
import { calendarOf } from '../programmes/calendar.ts';
import { copiedFor } from '../programmes/copies.ts';
import { proposalsFor } from '../programmes/proposals.ts';
import { roundsOfWeeks } from '../programmes/rounds.ts';
import { visiblePlayer } from '../access/visiblePlayer.ts';

/** Weeks of practice: a coach plans them, a player sees and ticks off their own. */
export function programmeRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();

  async function visible(viewer: Viewer, id: string): Promise<Programme> {
    const programme = await findProgramme(deps.pool, viewer.clubId, requireUuid(id, 'programme'));
    if (programme === undefined || (viewer.role !== 'coach' && programme.player.id !== viewer.id)) {
      throw notFound('this programme');
    }
    return programme;
  }

  const askedBy = (viewer: Viewer, programme: Programme) => ({
    clubId: viewer.clubId,
    programme,
    now: deps.now(),
    zone: viewer.rules.zone ?? 'UTC',
  });

  const proposalsTold = async (viewer: Viewer, programme: Programme): Promise<ProgrammeProposals> => ({
    version: programme.version,
    proposals: [...(await proposalsFor(deps.pool, askedBy(viewer, programme)))],
    answers: await listAnswers(deps.pool, programme.id),
  });

  app.get('/', async (c) => {
    const viewer = c.get('viewer');
    return c.json(
      await listProgrammes(deps.pool, viewer.clubId, viewer.role === 'coach' ? undefined : viewer.id),
    );
  });

  app.get('/:id', async (c) => {
    const viewer = c.get('viewer');
    const programme = await visible(viewer, c.req.param('id'));
    return c.json({ programme, rounds: await roundsOfWeeks(deps.pool, viewer.clubId, programme) });
  });

  app.put('/:id', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const id = requireUuid(c.req.param('id'), 'programme');
    const { document, basedOn } = await readBody(c, programmeChangeSchema);
    await visiblePlayer(deps, viewer, document.playerId);
    if (basedOn === null) {
      await insertProgramme(deps.pool, { id, clubId: viewer.clubId, document });
      return c.json(await visible(viewer, id), 201);
    }
    const before = await visible(viewer, id);
    if (before.player.id !== document.playerId) {
      throw new Refusal(400, 'document.playerId: a programme stays that of its player', 'document.playerId');
    }
    if (!(await updateProgramme(deps.pool, id, basedOn, document))) {
      throw new Refusal(409, 'this programme was changed elsewhere in the meantime', 'basedOn');
    }
    return c.json(await visible(viewer, id));
  });

  app.put('/:id/archived', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const programme = await visible(viewer, c.req.param('id'));
    const { archived } = await readBody(c, archivedSchema);
    await archiveProgramme(deps.pool, programme.id, archived ? new Date(deps.now()) : null);
    return c.json(await visible(viewer, programme.id));
  });

  app.post('/:id/copies', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const programme = await visible(viewer, c.req.param('id'));
    const { copies } = await readBody(c, programmeCopiesSchema);
    for (const { playerId } of copies) await visiblePlayer(deps, viewer, playerId);
    await inTransaction(deps.pool, async (db) => {
      for (const { id, playerId } of copies) {
        await insertProgramme(db, {
          id,
          clubId: viewer.clubId,
          document: copiedFor(programme.document, playerId),
        });
      }
    });
    return c.json({}, 201);
  });

  app.put('/:id/items/:item/done', async (c) => {
    const viewer = c.get('viewer');
    const programme = await visible(viewer, c.req.param('id'));
    const item = requireUuid(c.req.param('item'), 'item');
    const entry = programme.document.items.find(({ id }) => id === item);
    if (entry === undefined) throw notFound('this entry');
    const { done } = await readBody(c, tickSchema);
    // Wherever it is asked from, today is tomorrow in UTC at the latest.
    const today = addDays(new Date(deps.now()).toISOString().slice(0, 10), 1);
    if (done && !isTickable(entry, today)) {
      throw new Refusal(400, 'done: this entry is to come, and is ticked on its day', 'done');
    }
    await tickItem(deps.pool, programme.id, item, done ? new Date(deps.now()) : null);
    return c.json(await visible(viewer, programme.id));
  });

  // What could be changed in the weeks to come, after what was played: always anew.
  app.get('/:id/proposals', async (c) => {
    const viewer = c.get('viewer');
    return c.json(await proposalsTold(viewer, await visible(viewer, c.req.param('id'))));
  });

  // The coach's or the student's own yes or no.
  app.put('/:id/answer', async (c) => {
    const viewer = c.get('viewer');
    const programme = await visible(viewer, c.req.param('id'));
    const answer = await readBody(c, proposalAnswerSchema);
    await answerProposal(deps.pool, askedBy(viewer, programme), { ...answer, personId: viewer.id });
    return c.json(await proposalsTold(viewer, await visible(viewer, programme.id)));
  });

  app.put('/:id/answer/back', async (c) => {
    const viewer = c.get('viewer');
    const programme = await visible(viewer, c.req.param('id'));
    const { key } = await readBody(c, answerBackSchema);
    await takeAnswerBack(deps.pool, { clubId: viewer.clubId, programme }, key);
    return c.json(await proposalsTold(viewer, await visible(viewer, programme.id)));
  });

  app.get('/:id/calendar.ics', async (c) => {
    const programme = await visible(c.get('viewer'), c.req.param('id'));
    c.header('content-type', 'text/calendar; charset=utf-8');
    c.header('content-disposition', 'attachment; filename="programme.ics"');
    return c.body(await calendarOf(deps.pool, c.get('viewer').clubId, programme));
  });

  return app;
}
