import { randomUUID } from 'node:crypto';
import { describeAccess, type AccessWorld } from '../testing/access.ts';
import { send } from '../testing/club.ts';
import { newEvening } from '../testing/newEvening.ts';

function newLesson(w: AccessWorld) {
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

const [EVENING, EVENING_LESSON] = [randomUUID(), randomUUID()];

function sentEvening(w: AccessWorld) {
  const { document, basedOn } = newLesson(w);
  return {
    lessons: [{ id: EVENING_LESSON, document: { ...document, evening: newEvening(EVENING) }, basedOn }],
  };
}
function newProgramme(w: AccessWorld) {
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

function newReport(w: AccessWorld) {
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

describeAccess(
  'plans',
  {
    'GET /api/evenings/wants': {
      expected: [401, 403, 404, 200],
      path: (w) => `/api/evenings/wants?players=${w.club.playerId}`,
    },
    'PUT /api/evenings/:id': {
      expected: [401, 403, 404, 201],
      path: () => `/api/evenings/${EVENING}`,
      body: sentEvening,
    },
    'GET /api/evenings/:id': {
      expected: [401, 403, 404, 200],
      path: () => `/api/evenings/${EVENING}`,
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
    'GET /api/programmes/:id/proposals': {
      expected: [401, 404, 404, 200],
      path: (w) => `/api/programmes/${w.programme}/proposals`,
    },
    'PUT /api/programmes/:id/answer': {
      expected: [401, 404, 404, 409],
      path: (w) => `/api/programmes/${w.programme}/answer`,
      body: () => ({ key: 'up|harbour-turn|none', accepted: true, basedOn: 1 }),
    },
    'PUT /api/programmes/:id/answer/back': {
      expected: [401, 404, 404, 200],
      path: (w) => `/api/programmes/${w.programme}/answer/back`,
      body: () => ({ key: 'up|harbour-turn|none' }),
    },
    'GET /api/programmes/:id/calendar.ics': {
      expected: [401, 404, 404, 200],
      path: (w) => `/api/programmes/${w.programme}/calendar.ics`,
    },
    'GET /api/lessons/:id/screen': {
      expected: [401, 404, 404, 200],
      path: (w) => `/api/lessons/${w.lesson}/screen`,
    },
    'PUT /api/lessons/:id/screen': {
      expected: [401, 404, 404, 200],
      path: (w) => `/api/lessons/${w.lesson}/screen`,
      body: () => ({ shown: { view: 'set up', set: 0 } }),
    },
    'DELETE /api/lessons/:id/screen': {
      expected: [401, 404, 404, 200],
      path: (w) => `/api/lessons/${w.lesson}/screen`,
    },
    // Whoever has a code may look, and nobody has this one.
    'GET /api/screens/:code': { expected: [404, 404, 404, 404], path: () => '/api/screens/ABCDEF' },
    'GET /api/screens/:code/live': {
      expected: [404, 404, 404, 404],
      path: () => '/api/screens/ABCDEF/live',
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
  },
  async (w) => {
    for (const [path, body] of [
      [`programmes/${w.programme}`, newProgramme(w)],
      [`reports/${w.report}`, newReport(w)],
      [`lessons/${w.lesson}`, newLesson(w)],
    ] as const) {
      await send(w.test.app, 'PUT', `/api/${path}`, { cookie: w.club.coach, body });
    }
  },
);
