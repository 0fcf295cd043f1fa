import { randomUUID } from 'node:crypto';
import { expect, it } from 'vitest';
import { BLANK_SHOT } from '../../core/records/loggedShot.ts';
import { logOf } from '../../core/records/attempt.ts';
import { describeAccess, type AccessWorld } from '../testing/access.ts';
import { send } from '../testing/club.ts';
import { newRound } from '../testing/newRound.ts';

const MISSED = logOf({ shots: [BLANK_SHOT] });
const ATTEMPT = { ordinal: 1, log: MISSED, playedAt: '2026-11-24T12:00:00Z' };

const roundOf = ({ club }: AccessWorld) => newRound({ playerId: club.playerId, tableId: club.poolTable });

const world = describeAccess(
  'rounds',
  {
    'PUT /api/rounds/:id': {
      expected: [401, 404, 404, 200],
      path: () => `/api/rounds/${randomUUID()}`,
      body: roundOf,
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
    'PUT /api/rounds/:id/beside': {
      expected: [401, 404, 404, 200],
      path: (w) => `/api/rounds/${w.round}/beside`,
      body: () => ({ beside: [{ ball: '2', off: null }] }),
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
    'DELETE /api/rounds/:id/attempts/:attempt': {
      expected: [401, 404, 404, 200],
      path: (w) => `/api/rounds/${w.round}/attempts/${w.attempt}`,
    },
    'GET /api/rounds/removed': { expected: [401, 403, 200, 200] },
    'PUT /api/rounds/:id/removed': {
      expected: [401, 403, 404, 200],
      path: (w) => `/api/rounds/${w.round}/removed`,
      body: () => ({ removed: false, reason: 'a slip' }),
    },
    'PUT /api/rounds/:id/player': {
      expected: [401, 403, 404, 200],
      path: (w) => `/api/rounds/${w.round}/player`,
      body: (w) => ({ playerId: w.club.playerId, reason: 'a slip' }),
    },
    'POST /api/rounds/:id/end': {
      expected: [401, 404, 404, 200],
      path: (w) => `/api/rounds/${w.round}/end`,
      body: () => ({ endedAt: '2026-11-24T12:10:00Z', early: true }),
    },
    'POST /api/rounds/:id/reopen': {
      expected: [401, 404, 404, 200],
      path: (w) => `/api/rounds/${w.round}/reopen`,
      body: () => ({}),
    },
  },
  async (w) => {
    await send(w.test.app, 'PUT', `/api/rounds/${w.round}`, { cookie: w.club.player, body: roundOf(w) });
    await send(w.test.app, 'PUT', `/api/rounds/${w.round}/attempts/${w.attempt}`, {
      cookie: w.club.player,
      body: ATTEMPT,
    });
  },
);

it('does not let a player score for another, or on another club’s table', async () => {
  const url = `/api/rounds/${randomUUID()}`;
  const forOther = await send(world().test.app, 'PUT', url, {
    cookie: world().club.other,
    body: roundOf(world()),
  });
  expect(forOther.status).toBe(404);
  const elsewhere = await send(world().test.app, 'PUT', url, {
    cookie: world().club.player,
    body: { ...roundOf(world()), tableId: world().stranger.poolTable },
  });
  expect(elsewhere.status).toBe(404);
  expect(await elsewhere.json()).toMatchObject({ error: { field: 'tableId' } });
});

it('takes what somebody else entered only from them, whoever is signed in on the device by now', async () => {
  const { test, club } = world();
  const change = (person: string) =>
    test.app.request(`/api/rounds/${world().round}/under-way`, {
      method: 'PUT',
      headers: {
        cookie: club.player,
        'content-type': 'application/json',
        origin: 'http://localhost',
        'x-jolly-person': person,
      },
      body: JSON.stringify({ log: null, at: '2026-11-24T12:00:00Z' }),
    });
  expect((await change(club.otherId)).status).toBe(401);
  expect((await change(club.playerId)).status).toBe(200);
});
