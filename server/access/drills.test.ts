import { randomUUID } from 'node:crypto';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { benchmarkDrill } from '../../core/scoring/benchmark.ts';
import { ORDINARY_CONDITIONS, standardCard } from '../../core/table/card.ts';
import { buildTable } from '../../core/table/table.ts';
import { findDrill, LIBRARY } from '../db/queries/drills.ts';
import { planFor } from '../drills/plans.ts';
import { describeAccess } from '../testing/access.ts';
import { PLAIN_CALIBRATION } from '../testing/calibrations.ts';
import { send } from '../testing/club.ts';

let benchmark: unknown;

describeAccess(
  'drills',
  {
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
    'PUT /api/tables/:id/hall': {
      expected: [401, 403, 404, 200],
      path: (w) => `/api/tables/${w.club.poolTable}/hall`,
      body: () => ({ hallId: null }),
    },
    'GET /api/tables/:id/log': {
      expected: [401, 200, 404, 200],
      path: (w) => `/api/tables/${w.club.poolTable}/log`,
    },
    'GET /api/tables/:id/watch': {
      expected: [401, 200, 404, 200],
      path: (w) => `/api/tables/${w.club.poolTable}/watch`,
    },
    'PUT /api/tables/:id/calibrations/:calibration': {
      expected: [401, 403, 404, 200],
      path: (w) => `/api/tables/${w.club.poolTable}/calibrations/${w.note}`,
      body: () => ({ document: PLAIN_CALIBRATION, card: standardCard('pool-9ft'), basedOn: 1 }),
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
      body: () => benchmark,
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
  },
  async ({ test, club, document }) => {
    const entry = await findDrill(test.pool, LIBRARY, 'harbour-turn', 1);
    const stage = entry?.document.stages[0];
    if (entry === undefined || stage === undefined || !isPositionDrill(entry.document))
      throw new Error('harbour-turn is no position drill');
    benchmark = benchmarkDrill(entry.document, stage, planFor(entry, 1, buildTable(entry.document.table)), 1);
    await send(test.app, 'PUT', '/api/drills/gannet-turn', {
      cookie: club.coach,
      body: { document: { ...document, slug: 'gannet-turn' }, basedOn: null },
    });
  },
);
