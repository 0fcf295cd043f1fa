import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { BLANK_SHOT, logOf } from '../core/records/attempt.ts';
import { isPositionDrill } from '../core/drill/positionDrill.ts';
import { benchmarkDrill } from '../core/scoring/benchmark.ts';
import { ORDINARY_CONDITIONS, standardCard } from '../core/table/card.ts';
import { buildTable } from '../core/table/table.ts';
import { findDrill, LIBRARY } from './db/queries/drills.ts';
import { planFor } from './drills/plans.ts';
import { createTestApp, createTestClub, send, type TestApp, type TestClub } from './testing/club.ts';

/** Status for nobody, another player of the club, another club's coach, and the own coach. */
type Expected = readonly [nobody: number, otherPlayer: number, otherCoach: number, ownCoach: number];

interface Case {
  readonly expected: Expected;
  /** Parameters of the address, and the body, for the own club's player. */
  readonly path?: (w: World) => string;
  readonly body?: (w: World) => unknown;
}

interface World {
  readonly club: TestClub;
  readonly round: string;
  readonly attempt: string;
  readonly note: string;
  readonly lesson: string;
  readonly programme: string;
  readonly item: string;
  readonly report: string;
  readonly benchmark: unknown;
  readonly document: object;
}

let test: TestApp;
let club: TestClub;
let stranger: TestClub;
let world: World;

const MISSED = logOf({ shots: [BLANK_SHOT] });
const ATTEMPT = { ordinal: 1, log: MISSED, playedAt: '2026-11-24T12:00:00Z' };

function newCall(playerId: string) {
  return {
    playerId,
    kind: 'does it pass',
    preset: 'pool-9ft',
    source: { kind: 'seed', seed: 5, difficulty: 'fair' },
    answer: { kind: 'verdict', verdict: 'yes' },
    score: 1,
    coach: null,
    calledAt: '2026-11-24T12:00:00Z',
  };
}

function newRound(w: World) {
  return {
    playerId: w.club.playerId,
    tableId: w.club.poolTable,
    tableRevision: 1,
    conditionsId: null,
    drill: 'harbour-turn',
    revision: 1,
    stage: 1,
    ladderStart: 0,
    seed: 1,
    lesson: null,
    startedAt: '2026-11-24T12:00:00Z',
  };
}

function newLesson(w: World) {
  return {
    document: {
      title: 'Tuesday',
      day: '2026-11-24',
      tableId: w.club.poolTable,
      playerIds: [w.club.playerId],
      turns: 'after each round',
      blocks: [],
      startedAt: null,
      endedAt: null,
      summary: '',
    },
    basedOn: null,
  };
}

function newProgramme(w: World) {
  return {
    document: {
      title: 'Winter',
      playerId: w.club.playerId,
      startDay: '2026-11-23',
      weeks: 1,
      matchDays: [],
      items: [
        {
          id: w.item,
          day: '2026-11-24',
          drill: 'harbour-turn',
          stage: 1,
          minutes: 20,
          kind: 'homework',
          note: '',
        },
      ],
    },
    basedOn: null,
  };
}

function newReport(w: World) {
  return {
    document: {
      playerId: w.club.playerId,
      from: '2026-10-01',
      to: '2026-11-24',
      words: '<p>Well done.</p>',
      goals: ['Hold the line'],
    },
    basedOn: null,
  };
}

/** Every route of the router. A route that is not listed here fails the test below. */
const CASES: Readonly<Record<string, Case>> = {
  'GET /api/health': { expected: [200, 200, 200, 200] },
  'GET /api/welcome': { expected: [200, 200, 200, 200] },
  'POST /api/club': {
    expected: [409, 409, 409, 409],
    body: () => ({ club: 'x', name: 'x', email: 'x@x.example', password: '0123456789' }),
  },
  'POST /api/sign-in': {
    expected: [401, 401, 401, 401],
    body: () => ({ email: 'no@no.example', password: 'no' }),
  },
  'POST /api/sign-out': { expected: [401, 200, 200, 200], body: () => ({}) },
  'GET /api/me': { expected: [401, 200, 200, 200] },
  'GET /api/today': { expected: [401, 200, 200, 200] },
  'GET /api/players': { expected: [401, 200, 200, 200] },
  'POST /api/players': {
    expected: [401, 403, 201, 201],
    body: () => ({ name: 'New', hand: 'left', email: null, password: null }),
  },
  'GET /api/players/:id': { expected: [401, 404, 404, 200], path: (w) => `/api/players/${w.club.playerId}` },
  'PUT /api/players/:id': {
    expected: [401, 403, 404, 200],
    path: (w) => `/api/players/${w.club.playerId}`,
    body: () => ({ name: 'Renamed', hand: 'right', archived: false }),
  },
  'GET /api/players/:id/progress': {
    expected: [401, 404, 404, 200],
    path: (w) => `/api/players/${w.club.playerId}/progress`,
  },
  'GET /api/players/:id/rounds': {
    expected: [401, 404, 404, 200],
    path: (w) => `/api/players/${w.club.playerId}/rounds`,
  },
  'POST /api/sign-in/code': {
    expected: [401, 401, 401, 401],
    body: () => ({ code: 'AAAAA-AAAAA', email: 'code@no.example', password: '0123456789' }),
  },
  'POST /api/players/:id/sign-in-code': {
    expected: [401, 403, 404, 201],
    path: (w) => `/api/players/${w.club.playerId}/sign-in-code`,
  },
  'GET /api/players/:id/next': {
    expected: [401, 404, 404, 200],
    path: (w) => `/api/players/${w.club.playerId}/next`,
  },
  'GET /api/club/overview': { expected: [401, 403, 200, 200] },
  'GET /api/club/evening': {
    expected: [401, 403, 200, 200],
    path: () => '/api/club/evening?from=2026-11-24T00:00:00Z&to=2026-11-25T00:00:00Z',
  },
  'GET /api/programmes': { expected: [401, 200, 200, 200] },
  'GET /api/programmes/:id': {
    expected: [401, 404, 404, 200],
    path: (w) => `/api/programmes/${w.programme}`,
  },
  'PUT /api/programmes/:id': {
    expected: [401, 403, 404, 201],
    path: () => `/api/programmes/${randomUUID()}`,
    body: newProgramme,
  },
  'PUT /api/programmes/:id/archived': {
    expected: [401, 403, 404, 200],
    path: (w) => `/api/programmes/${w.programme}/archived`,
    body: () => ({ archived: false }),
  },
  'POST /api/programmes/:id/copies': {
    expected: [401, 403, 404, 201],
    path: (w) => `/api/programmes/${w.programme}/copies`,
    body: (w) => ({ copies: [{ id: randomUUID(), playerId: w.club.playerId }] }),
  },
  'PUT /api/programmes/:id/items/:item/done': {
    expected: [401, 404, 404, 200],
    path: (w) => `/api/programmes/${w.programme}/items/${w.item}/done`,
    body: () => ({ done: true }),
  },
  'GET /api/programmes/:id/calendar.ics': {
    expected: [401, 404, 404, 200],
    path: (w) => `/api/programmes/${w.programme}/calendar.ics`,
  },
  'GET /api/reports': { expected: [401, 200, 200, 200] },
  'GET /api/reports/:id': { expected: [401, 404, 404, 200], path: (w) => `/api/reports/${w.report}` },
  'PUT /api/reports/:id': {
    expected: [401, 403, 404, 201],
    path: () => `/api/reports/${randomUUID()}`,
    body: newReport,
  },
  'PUT /api/reports/:id/archived': {
    expected: [401, 403, 404, 200],
    path: (w) => `/api/reports/${w.report}/archived`,
    body: () => ({ archived: false }),
  },
  'GET /api/export/csv/:name': {
    expected: [401, 403, 200, 200],
    path: () => '/api/export/csv/rounds.csv',
  },
  'GET /api/export/backup': { expected: [401, 403, 200, 200] },
  // Nothing is sent that could be brought back: a coach gets as far as being told so.
  'POST /api/export/restore': { expected: [401, 403, 400, 400], body: () => ({}) },
  'GET /api/players/:id/results': {
    expected: [401, 404, 404, 200],
    path: (w) => `/api/players/${w.club.playerId}/results`,
  },
  'GET /api/players/:id/calls': {
    expected: [401, 404, 404, 200],
    path: (w) => `/api/players/${w.club.playerId}/calls`,
  },
  'PUT /api/calls/:id': {
    expected: [401, 404, 404, 200],
    path: () => `/api/calls/${randomUUID()}`,
    body: (w) => newCall(w.club.playerId),
  },
  'GET /api/tables': { expected: [401, 200, 200, 200] },
  'POST /api/tables': {
    expected: [401, 403, 201, 201],
    body: () => ({ name: `table ${randomUUID().slice(0, 8)}`, preset: 'pool-9ft' }),
  },
  'PUT /api/tables/:id': {
    expected: [401, 403, 404, 200],
    path: (w) => `/api/tables/${w.club.poolTable}`,
    body: () => ({ name: 'one', archived: false, card: standardCard('pool-9ft'), basedOn: 1 }),
  },
  'GET /api/tables/:id/log': {
    expected: [401, 200, 404, 200],
    path: (w) => `/api/tables/${w.club.poolTable}/log`,
  },
  'GET /api/tables/:id/states/:revision': {
    expected: [401, 200, 404, 200],
    path: (w) => `/api/tables/${w.club.poolTable}/states/1`,
  },
  'PUT /api/tables/:id/conditions/:note': {
    expected: [401, 403, 404, 200],
    path: (w) => `/api/tables/${w.club.poolTable}/conditions/${w.note}`,
    body: () => ({ conditions: ORDINARY_CONDITIONS, note: '', notedAt: '2026-11-24T11:00:00Z' }),
  },
  'DELETE /api/tables/:id/conditions/:note': {
    expected: [401, 403, 404, 200],
    path: (w) => `/api/tables/${w.club.poolTable}/conditions/${w.note}`,
  },
  'GET /api/drills': { expected: [401, 200, 200, 200] },
  'GET /api/drills/:slug': { expected: [401, 200, 200, 200], path: () => '/api/drills/harbour-turn' },
  'POST /api/drills/import': {
    expected: [401, 403, 200, 200],
    body: (w) => ({ document: w.document }),
  },
  'PUT /api/drills/:slug': {
    expected: [401, 403, 200, 200],
    path: () => '/api/drills/quay-turn',
    body: (w) => ({ document: { ...w.document, slug: 'quay-turn' }, basedOn: null }),
  },
  'PUT /api/drills/:slug/archived': {
    expected: [401, 403, 404, 200],
    path: () => '/api/drills/gannet-turn/archived',
    body: () => ({ archived: true }),
  },
  'PUT /api/drills/:slug/favourite': {
    expected: [401, 200, 404, 200],
    path: () => '/api/drills/gannet-turn/favourite',
    body: () => ({ favourite: true }),
  },
  'GET /api/drills/:slug/revisions': {
    expected: [401, 200, 404, 200],
    path: () => '/api/drills/gannet-turn/revisions',
  },
  'GET /api/drills/:slug/revisions/:revision': {
    expected: [401, 200, 404, 200],
    path: () => '/api/drills/gannet-turn/revisions/1',
  },
  'GET /api/drills/:slug/revisions/:revision/stages/:stage/benchmark': {
    expected: [401, 200, 200, 200],
    path: () => '/api/drills/harbour-turn/revisions/1/stages/1/benchmark',
  },
  'PUT /api/drills/:slug/revisions/:revision/stages/:stage/benchmark': {
    expected: [401, 403, 200, 200],
    path: () => '/api/drills/harbour-turn/revisions/1/stages/1/benchmark',
    body: (w) => w.benchmark,
  },
  'POST /api/drills/:slug/revisions/:revision/stages/:stage/benchmark/job': {
    expected: [401, 403, 200, 200],
    path: () => '/api/drills/frozen-pair/revisions/1/stages/1/benchmark/job',
  },
  'DELETE /api/drills/:slug/revisions/:revision/stages/:stage/benchmark/job': {
    expected: [401, 403, 200, 200],
    path: () => '/api/drills/frozen-pair/revisions/1/stages/1/benchmark/job',
  },
  'PUT /api/drills/:slug/revisions/:revision/stages/:stage/bands': {
    expected: [401, 403, 200, 200],
    path: () => '/api/drills/harbour-turn/revisions/1/stages/1/bands',
    body: () => ({ from: [2, 5, null, 12, null] }),
  },
  'PUT /api/rounds/:id': {
    expected: [401, 404, 404, 200],
    path: () => `/api/rounds/${randomUUID()}`,
    body: newRound,
  },
  'GET /api/rounds/:id': { expected: [401, 404, 404, 200], path: (w) => `/api/rounds/${w.round}` },
  'PUT /api/rounds/:id/attempts/:attempt': {
    expected: [401, 404, 404, 200],
    path: (w) => `/api/rounds/${w.round}/attempts/${w.attempt}`,
    body: () => ATTEMPT,
  },
  'PUT /api/rounds/:id/under-way': {
    expected: [401, 404, 404, 200],
    path: (w) => `/api/rounds/${w.round}/under-way`,
    body: () => ({ log: null, at: '2026-11-24T12:00:00Z' }),
  },
  'PUT /api/rounds/:id/advice': {
    expected: [401, 404, 404, 200],
    path: (w) => `/api/rounds/${w.round}/advice`,
    body: () => ({ proposal: 'once more', stage: 1, accepted: false, at: '2026-11-24T12:00:00Z' }),
  },
  'PUT /api/rounds/:id/attempts/:attempt/notes': {
    expected: [401, 404, 404, 200],
    path: (w) => `/api/rounds/${w.round}/attempts/${w.attempt}/notes`,
    body: () => ({ log: MISSED }),
  },
  'POST /api/rounds/:id/attempts/:attempt/changes': {
    expected: [401, 404, 404, 200],
    path: (w) => `/api/rounds/${w.round}/attempts/${w.attempt}/changes`,
    body: () => ({ log: MISSED, reason: 'a slip', changedAt: '2026-11-24T12:00:00Z' }),
  },
  'POST /api/rounds/:id/attempts/:attempt/settle': {
    // Nothing is contested here: the coach gets as far as being told so.
    expected: [401, 403, 404, 409],
    path: (w) => `/api/rounds/${w.round}/attempts/${w.attempt}/settle`,
    body: () => ({ keep: 'stored' }),
  },
  'GET /api/lessons': { expected: [401, 200, 200, 200] },
  'GET /api/lessons/:id': { expected: [401, 404, 404, 200], path: (w) => `/api/lessons/${w.lesson}` },
  'PUT /api/lessons/:id': {
    expected: [401, 404, 404, 201],
    path: () => `/api/lessons/${randomUUID()}`,
    body: newLesson,
  },
  'PUT /api/lessons/:id/archived': {
    expected: [401, 404, 404, 200],
    path: (w) => `/api/lessons/${w.lesson}/archived`,
    body: () => ({ archived: true }),
  },
  'DELETE /api/rounds/:id/attempts/:attempt': {
    expected: [401, 404, 404, 200],
    path: (w) => `/api/rounds/${w.round}/attempts/${w.attempt}`,
  },
  'POST /api/rounds/:id/end': {
    expected: [401, 404, 404, 200],
    path: (w) => `/api/rounds/${w.round}/end`,
    body: () => ({ endedAt: '2026-11-24T12:10:00Z', early: true }),
  },
};

beforeAll(async () => {
  test = await createTestApp();
  club = await createTestClub(test, 'gannet');
  stranger = await createTestClub(test, 'puffin');
  const entry = await findDrill(test.pool, LIBRARY, 'harbour-turn', 1);
  const stage = entry?.document.stages[0];
  if (entry === undefined || stage === undefined || !isPositionDrill(entry.document))
    throw new Error('the library has no harbour-turn');
  world = {
    club,
    round: randomUUID(),
    attempt: randomUUID(),
    note: randomUUID(),
    lesson: randomUUID(),
    programme: randomUUID(),
    item: randomUUID(),
    report: randomUUID(),
    document: entry.document,
    benchmark: benchmarkDrill(entry.document, stage, planFor(entry, 1, buildTable(entry.document.table)), 1),
  };
  await send(test.app, 'PUT', '/api/drills/gannet-turn', {
    cookie: club.coach,
    body: { document: { ...entry.document, slug: 'gannet-turn' }, basedOn: null },
  });
  for (const [path, body] of [
    [`programmes/${world.programme}`, newProgramme(world)],
    [`reports/${world.report}`, newReport(world)],
  ] as const) {
    await send(test.app, 'PUT', `/api/${path}`, { cookie: club.coach, body });
  }
  await send(test.app, 'PUT', `/api/lessons/${world.lesson}`, { cookie: club.coach, body: newLesson(world) });
  await send(test.app, 'PUT', `/api/rounds/${world.round}`, { cookie: club.player, body: newRound(world) });
  await send(test.app, 'PUT', `/api/rounds/${world.round}/attempts/${world.attempt}`, {
    cookie: club.player,
    body: ATTEMPT,
  });
});
afterAll(() => test.close());

function routesOf(app: TestApp['app']): readonly string[] {
  const all = app.routes
    .filter((route) => route.method !== 'ALL')
    .map((route) => `${route.method} ${route.path}`);
  return [...new Set(all)].sort();
}

describe('every route checks who asks', () => {
  it('and every route of the router is listed here', () => {
    expect(routesOf(test.app)).toEqual(Object.keys(CASES).sort());
  });

  it.each(Object.entries(CASES))('%s', async (route, { expected, path, body }) => {
    const [method = '', pattern = ''] = route.split(' ');
    const ask = async (cookie: string | undefined) => {
      const url = path?.(world) ?? pattern;
      const response = await send(test.app, method, url, {
        cookie,
        ...(body === undefined ? {} : { body: body(world) }),
      });
      return response.status;
    };
    // A sign-out ends the session it comes with, so it gets sessions of its own.
    const personas =
      route === 'POST /api/sign-out'
        ? await createTestClub(test, 'razorbill').then((own) => [undefined, own.other, own.player, own.coach])
        : [undefined, club.other, stranger.coach, club.coach];
    const statuses: number[] = [];
    for (const cookie of personas) statuses.push(await ask(cookie));
    expect(statuses).toEqual(expected);
  });

  it('shows a player themselves and nobody else', async () => {
    const players: unknown = await (
      await send(test.app, 'GET', '/api/players', { cookie: club.player })
    ).json();
    expect(players).toMatchObject([{ id: club.playerId }]);
    expect(players).toHaveLength(1);
    const own = await send(test.app, 'GET', `/api/players/${club.playerId}`, { cookie: club.player });
    expect(own.status).toBe(200);
    const today: unknown = await (await send(test.app, 'GET', '/api/today', { cookie: club.other })).json();
    expect(today).toMatchObject({ open: [], recent: [], waiting: [{ id: club.otherId }] });
  });

  it('does not let a player score for another, or on another club’s table', async () => {
    const url = `/api/rounds/${randomUUID()}`;
    const forOther = await send(test.app, 'PUT', url, { cookie: club.other, body: newRound(world) });
    expect(forOther.status).toBe(404);
    const elsewhere = await send(test.app, 'PUT', url, {
      cookie: club.player,
      body: { ...newRound(world), tableId: stranger.poolTable },
    });
    expect(elsewhere.status).toBe(404);
    expect(await elsewhere.json()).toMatchObject({ error: { field: 'tableId' } });
  });
});
