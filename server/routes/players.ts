import { randomUUID } from 'node:crypto';
import { Hono } from 'hono';
import { newPlayerSchema, playerChangeSchema } from '../../core/records/player.ts';
import { SKILLS, type Skill } from '../../core/records/drill.ts';
import { visiblePlayer } from '../access/visiblePlayer.ts';
import { hashPassword } from '../auth/password.ts';
import { auditAt } from '../access/audit.ts';
import { requireCoach, type SignedIn } from '../auth/session.ts';
import { requireStrong } from '../auth/strength.ts';
import { giveCode } from '../clubs/codes.ts';
import { callRoundsOf } from '../players/callRounds.ts';
import { listCalls } from '../db/queries/calls.ts';
import { insertPerson, listPlayers, updatePlayer } from '../db/queries/people.ts';
import { listHeadsOfPlayer, listRoundsOfPlayer, type RoundChoice } from '../db/queries/rounds.ts';
import { isDuplicate } from '../db/errors.ts';
import { inTransaction } from '../db/pool.ts';
import type { Dependencies } from '../dependencies.ts';
import { readBody } from '../http/body.ts';
import { Refusal } from '../http/errors.ts';
import { requireAscii, requireInstant, requireSlug, wholeNumber } from '../http/parameters.ts';
import { nextDrillsOf } from '../players/nextDrills.ts';
import { playerProgress } from '../players/progress.ts';
import { withResults } from '../rounds/counting.ts';

/** Progress is told over a year, or over another period up to ten. */
const PERIOD_DAYS = 365;
const LONGEST_PERIOD_DAYS = 3_650;
/** So many of a player's newest calls are given. */
const CALLS_SHOWN = 200;

/** Rounds that are given with their attempts, and without: the newest. */
const ROUNDS_WITH_SHOTS = 40;
const RESULTS_SHOWN = 1_000;

const isSkill = (text: string): text is Skill => SKILLS.some((skill) => skill === text);

/** Which rounds an address asks for. @throws Refusal for numbers that are none */
function choiceOf({ drill, revision, stage, table }: Record<string, string>): RoundChoice {
  return {
    drill: drill === undefined ? undefined : requireSlug(drill),
    revision: revision === undefined ? undefined : wholeNumber(revision, 'revision'),
    stage: stage === undefined ? undefined : wholeNumber(stage, 'stage'),
    fingerprint: table === undefined ? undefined : requireAscii(table, 'table'),
  };
}

/** The last so many days. @throws Refusal for a number that is none */
export function periodOf(text: string | undefined, now: number): { readonly from: Date; readonly to: Date } {
  const days = Number(text ?? PERIOD_DAYS);
  if (!Number.isInteger(days) || days < 1 || days > LONGEST_PERIOD_DAYS) {
    throw new Refusal(400, `days must be 1 to ${String(LONGEST_PERIOD_DAYS)}`, 'days');
  }
  return { from: new Date(now - days * 86_400_000), to: new Date(now) };
}

/** From one instant to another. @throws Refusal for texts that are none */
function periodBetween(from: string, to: string): { readonly from: Date; readonly to: Date } {
  return { from: requireInstant(from, 'from'), to: requireInstant(to, 'to') };
}

export function playerRoutes(deps: Dependencies) {
  const app = new Hono<SignedIn>();

  const note = auditAt(deps.now);

  app.get('/', async (c) => {
    const viewer = c.get('viewer');
    const players = await listPlayers(deps.pool, viewer.clubId);
    return c.json(viewer.role === 'coach' ? players : players.filter((player) => player.id === viewer.id));
  });

  app.post('/', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const body = await readBody(c, newPlayerSchema);
    if (body.password !== null) requireStrong(body.password, [body.name, body.email ?? '', viewer.club]);
    const id = randomUUID();
    try {
      const passwordHash = body.password === null ? null : await hashPassword(body.password);
      await inTransaction(deps.pool, async (db) => {
        await insertPerson(db, {
          id,
          clubId: viewer.clubId,
          role: 'player',
          name: body.name.trim(),
          hand: body.hand,
          email: body.email,
          passwordHash,
        });
        await note(db, viewer, { action: 'player added', subject: 'person', subjectId: id });
      });
    } catch (error) {
      if (isDuplicate(error)) throw new Refusal(409, 'email is already used for a sign-in', 'email');
      throw error;
    }
    return c.json({ id }, 201);
  });

  app.get('/:id', async (c) => c.json(await visiblePlayer(deps, c.get('viewer'), c.req.param('id'))));

  app.put('/:id', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const player = await visiblePlayer(deps, viewer, c.req.param('id'));
    const body = await readBody(c, playerChangeSchema);
    await inTransaction(deps.pool, async (db) => {
      await updatePlayer(db, viewer.clubId, player.id, body, new Date(deps.now()));
      const archiving = body.archived ? 'player archived' : 'player brought back';
      const action = body.archived === player.archived ? 'player corrected' : archiving;
      await note(db, viewer, { action, subject: 'person', subjectId: player.id });
    });
    return c.json(await visiblePlayer(deps, viewer, player.id));
  });

  // With their attempts: what advice, fits and pictures of landings need of the newest rounds.
  app.get('/:id/rounds', async (c) => {
    const { clubId } = c.get('viewer');
    const player = await visiblePlayer(deps, c.get('viewer'), c.req.param('id'));
    const rounds = await listRoundsOfPlayer(
      deps.pool,
      clubId,
      player.id,
      choiceOf(c.req.query()),
      ROUNDS_WITH_SHOTS,
    );
    return c.json(await withResults(deps.pool, clubId, rounds));
  });

  // Without their attempts: best, last and the trend of a drill.
  app.get('/:id/results', async (c) => {
    const { clubId } = c.get('viewer');
    const player = await visiblePlayer(deps, c.get('viewer'), c.req.param('id'));
    const heads = await listHeadsOfPlayer(
      deps.pool,
      clubId,
      player.id,
      choiceOf(c.req.query()),
      RESULTS_SHOWN,
    );
    return c.json(heads.filter(({ result }) => result !== undefined));
  });

  app.get('/:id/progress', async (c) => {
    const viewer = c.get('viewer');
    const player = await visiblePlayer(deps, viewer, c.req.param('id'));
    const { days, from, to, table, drill, skill } = c.req.query();
    const period =
      from === undefined || to === undefined ? periodOf(days, deps.now()) : periodBetween(from, to);
    if (skill !== undefined && !isSkill(skill))
      throw new Refusal(400, 'skill is not one that is rated', 'skill');
    return c.json(
      await playerProgress(
        deps.pool,
        { clubId: viewer.clubId, id: player.id, zone: viewer.rules.zone ?? 'UTC' },
        { ...period, tableId: table, drill, skill },
      ),
    );
  });

  // For a first sign-in or a forgotten password; shown to the coach once, in the place of an older one.
  app.post('/:id/sign-in-code', async (c) => {
    const viewer = c.get('viewer');
    requireCoach(viewer);
    const player = await visiblePlayer(deps, viewer, c.req.param('id'));
    const given = await inTransaction(deps.pool, async (db) => {
      await note(db, viewer, { action: 'code given', subject: 'person', subjectId: player.id });
      return giveCode(db, player.id, deps.now());
    });
    return c.json(given, 201);
  });

  app.get('/:id/next', async (c) => {
    const viewer = c.get('viewer');
    const player = await visiblePlayer(deps, viewer, c.req.param('id'));
    const { from, to } = periodOf(undefined, deps.now());
    return c.json(await nextDrillsOf(deps.pool, { clubId: viewer.clubId, id: player.id }, { from, to }));
  });

  app.get('/:id/call-rounds', async (c) => {
    const viewer = c.get('viewer');
    const player = await visiblePlayer(deps, viewer, c.req.param('id'));
    return c.json(await callRoundsOf(deps.pool, viewer.clubId, player.id));
  });

  app.get('/:id/calls', async (c) => {
    const viewer = c.get('viewer');
    const player = await visiblePlayer(deps, viewer, c.req.param('id'));
    return c.json(await listCalls(deps.pool, viewer.clubId, player.id, CALLS_SHOWN));
  });

  return app;
}
