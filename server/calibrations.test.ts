import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { tableWatchSchema, type CalibrationDocument } from '../core/records/calibration.ts';
import { clubTablesSchema } from '../core/records/clubTable.ts';
import { cuesSchema } from '../core/records/cue.ts';
import { standardCard, type TableCard } from '../core/table/card.ts';
import { PLAIN_CALIBRATION } from './testing/calibrations.ts';
import { createTestApp, createTestClub, send, type TestApp, type TestClub } from './testing/club.ts';
import { PLAIN_CUE } from './testing/cues.ts';

let test: TestApp;
let club: TestClub;

beforeAll(async () => {
  test = await createTestApp();
  club = await createTestClub(test, 'whimbrel');
});
afterAll(() => test.close());

const CARD: TableCard = {
  ...standardCard('pool-9ft'),
  measured: [{ name: 'rollingFriction', value: 0.008, source: 'calibrated 2026-11-24, 1 guided shots' }],
};

const take = (id: string, basedOn: number, document: CalibrationDocument = PLAIN_CALIBRATION, card = CARD) =>
  send(test.app, 'PUT', `/api/tables/${club.poolTable}/calibrations/${id}`, {
    cookie: club.coach,
    body: { document, card, basedOn },
  });
const watch = async () =>
  tableWatchSchema.validate(
    await (
      await send(test.app, 'GET', `/api/tables/${club.poolTable}/watch`, { cookie: club.player })
    ).json(),
  );
const state = async () =>
  (
    await clubTablesSchema.validate(
      await (await send(test.app, 'GET', '/api/tables', { cookie: club.player })).json(),
    )
  ).find(({ id }) => id === club.poolTable)?.state;

describe('a calibration', () => {
  it('is kept with the card and the cue that follow from it, once however often it is sent', async () => {
    const cue = randomUUID();
    await send(test.app, 'PUT', `/api/cues/${cue}`, {
      cookie: club.coach,
      body: { document: PLAIN_CUE, archived: true },
    });
    const found = [
      ...PLAIN_CALIBRATION.found,
      { name: 'endMass' as const, cue, before: 0.006, value: 0.0123, deviation: 0.001, isTold: true },
    ];
    const id = randomUUID();
    for (let i = 0; i < 2; i++) expect((await take(id, 1, { ...PLAIN_CALIBRATION, found })).status).toBe(200);
    expect(await state()).toMatchObject({ revision: 2, card: CARD });
    const { calibrations } = await watch();
    expect(calibrations).toMatchObject([{ id, by: 'coach of whimbrel', document: { found } }]);
    const cues = await cuesSchema.validate(
      await (await send(test.app, 'GET', '/api/cues', { cookie: club.coach })).json(),
    );
    expect(cues).toMatchObject([{ id: cue, archived: true, document: { endMass: 12.3, squirtBy: 'test' } }]);
  });

  it('that was made from an older card, or names a cue that there is not, changes nothing', async () => {
    const before = [await state(), await watch()];
    expect((await take(randomUUID(), 1)).status).toBe(409);
    const found = [
      {
        name: 'endMass' as const,
        cue: randomUUID(),
        before: 0.006,
        value: 0.01,
        deviation: 0.001,
        isTold: true,
      },
    ];
    expect((await take(randomUUID(), 2, { ...PLAIN_CALIBRATION, found })).status).toBe(404);
    expect((await take(randomUUID(), 2, PLAIN_CALIBRATION, standardCard('pool-8ft'))).status).toBe(400);
    const wrong = await take(randomUUID(), 2, { ...PLAIN_CALIBRATION, read: [] });
    expect(await wrong.json()).toMatchObject({ error: { field: 'document.read' } });
    expect([await state(), await watch()]).toEqual(before);
  });
});

it('nobody can be compared where nobody has landed elsewhere', async () => {
  expect((await watch()).landings).toBeNull();
});
