import { randomUUID } from 'node:crypto';
import { expect, it } from 'vitest';
import { describeAccess, routesWithoutArea } from '../testing/access.ts';
import { send } from '../testing/club.ts';
import { PLAIN_CUE } from '../testing/cues.ts';

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

const world = describeAccess('people', {
  'GET /api/health': { expected: [200, 200, 200, 200] },
  'GET /api/welcome': { expected: [200, 200, 200, 200] },
  'POST /api/club': {
    expected: [409, 409, 409, 409],
    body: () => ({ club: 'x', name: 'x', email: 'x@x.example', password: 'gravel and tea' }),
  },
  'POST /api/sign-in': {
    expected: [401, 401, 401, 401],
    body: () => ({ email: 'no@no.example', password: 'no' }),
  },
  'POST /api/sign-out': { expected: [401, 200, 200, 200], body: () => ({}), endsSession: true },
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
    body: () => ({ code: 'AAAAA-AAAAA', email: 'code@no.example', password: 'gravel and tea' }),
  },
  'POST /api/players/:id/sign-in-code': {
    expected: [401, 403, 404, 201],
    path: (w) => `/api/players/${w.club.playerId}/sign-in-code`,
  },
  'GET /api/players/:id/next': {
    expected: [401, 404, 404, 200],
    path: (w) => `/api/players/${w.club.playerId}/next`,
  },
  'POST /api/sign-out/everywhere': { expected: [401, 200, 200, 200], body: () => ({}), endsSession: true },
  // A wrong password of one's own: whoever is signed in gets as far as being told so.
  'PUT /api/password': {
    expected: [401, 403, 403, 403],
    body: () => ({ current: 'not it', password: 'gravel and tea' }),
  },
  'GET /api/players/:id/person': {
    expected: [401, 404, 404, 200],
    path: (w) => `/api/players/${w.club.playerId}/person`,
  },
  'PUT /api/players/:id/person': {
    expected: [401, 403, 404, 200],
    path: (w) => `/api/players/${w.club.playerId}/person`,
    body: () => ({ name: 'Renamed', hand: 'right', email: 'renamed@gannet.example' }),
  },
  'PUT /api/players/:id/may-rewrite': {
    expected: [401, 403, 404, 200],
    path: (w) => `/api/players/${w.club.playerId}/may-rewrite`,
    body: () => ({ allowed: false }),
  },
  'GET /api/players/:id/everything.zip': {
    expected: [401, 404, 404, 200],
    path: (w) => `/api/players/${w.club.playerId}/everything.zip`,
  },
  // The name does not fit: the coach gets as far as being told so.
  'POST /api/players/:id/erasure': {
    expected: [401, 403, 404, 400],
    path: (w) => `/api/players/${w.club.playerId}/erasure`,
    body: () => ({ name: 'Nobody' }),
  },
  'GET /api/coaches': { expected: [401, 403, 200, 200] },
  'POST /api/coaches': { expected: [401, 403, 201, 201], body: () => ({ name: 'Second' }) },
  'POST /api/coaches/:id/sign-in-code': {
    expected: [401, 403, 404, 404],
    path: (w) => `/api/coaches/${w.club.playerId}/sign-in-code`,
  },
  'PUT /api/coaches/:id/removed': {
    expected: [401, 403, 404, 404],
    path: (w) => `/api/coaches/${w.club.playerId}/removed`,
    body: () => ({ removed: true }),
  },
  'GET /api/halls': { expected: [401, 200, 200, 200] },
  'PUT /api/halls/:id': {
    expected: [401, 403, 200, 200],
    path: () => `/api/halls/${randomUUID()}`,
    body: () => ({ name: 'Boathouse', archived: false }),
  },
  'GET /api/cues': { expected: [401, 200, 200, 200] },
  'PUT /api/cues/:id': {
    expected: [401, 403, 404, 200],
    path: () => `/api/cues/${randomUUID()}`,
    body: (w) => ({ document: { ...PLAIN_CUE, ownerId: w.club.playerId }, archived: false }),
  },
  'GET /api/club/audit': { expected: [401, 403, 200, 200] },
  'PUT /api/club/rules': {
    expected: [401, 403, 200, 200],
    body: () => ({ zone: 'Europe/Lisbon', restAfter: 45, most: 90 }),
  },
  'PUT /api/club/name': { expected: [401, 403, 200, 200], body: () => ({ name: 'Other name' }) },
  // Neither of these coaches looks after the installation.
  'GET /api/club/all': { expected: [401, 403, 403, 403] },
  'POST /api/club/further': { expected: [401, 403, 403, 403], body: () => ({ club: 'x', coach: 'x' }) },
  'GET /api/export/backups': { expected: [401, 403, 200, 200] },
  'GET /api/export/backups/:name': {
    expected: [401, 403, 404, 404],
    path: () => '/api/export/backups/2026-11-24T03-00-00Z.json.gz',
  },
  'GET /api/club/overview': { expected: [401, 403, 200, 200] },
  'GET /api/club/evening': {
    expected: [401, 403, 200, 200],
    path: () => '/api/club/evening?from=2026-11-24T00:00:00Z&to=2026-11-25T00:00:00Z',
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
  'GET /api/players/:id/call-rounds': {
    expected: [401, 404, 404, 200],
    path: (w) => `/api/players/${w.club.playerId}/call-rounds`,
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
});

it('every route of the router is in an area', () => {
  expect(routesWithoutArea(world().test)).toEqual([]);
});

it('shows a player themselves and nobody else', async () => {
  const players: unknown = await (
    await send(world().test.app, 'GET', '/api/players', { cookie: world().club.player })
  ).json();
  expect(players).toMatchObject([{ id: world().club.playerId }]);
  expect(players).toHaveLength(1);
  const own = await send(world().test.app, 'GET', `/api/players/${world().club.playerId}`, {
    cookie: world().club.player,
  });
  expect(own.status).toBe(200);
  const today: unknown = await (
    await send(world().test.app, 'GET', '/api/today', { cookie: world().club.other })
  ).json();
  expect(today).toMatchObject({ open: [], recent: [], waiting: [{ id: world().club.otherId }] });
});
