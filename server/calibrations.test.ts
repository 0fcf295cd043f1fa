import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { object, string } from 'yup';
import { isPositionDrill } from '../core/drill/positionDrill.ts';
import { atStage } from '../core/drill/stage.ts';
import { pathLength, type Point } from '../core/math/point.ts';
import { wayAfterHit } from '../core/motion/path.ts';
import { simulate } from '../core/motion/simulate.ts';
import { tableWatchSchema, type CalibrationDocument } from '../core/records/calibration.ts';
import { clubTablesSchema } from '../core/records/clubTable.ts';
import { cuesSchema } from '../core/records/cue.ts';
import { standardCard, type TableCard } from '../core/table/card.ts';
import { buildTable } from '../core/table/table.ts';
import { findDrill, LIBRARY } from './db/queries/drills.ts';
import { planFor } from './drills/plans.ts';
import { PLAIN_CALIBRATION } from './testing/calibrations.ts';
import { createTestApp, createTestClub, send, type TestApp, type TestClub } from './testing/club.ts';
import { PLAIN_CUE } from './testing/cues.ts';
import { playRound } from './testing/rounds.ts';

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

const idSchema = object({ id: string().required() }).required();

async function newPlayers(count: number): Promise<readonly string[]> {
  const ids: string[] = [];
  for (let i = 0; i < count; i++) {
    const made = await send(test.app, 'POST', '/api/players', {
      cookie: club.coach,
      body: { name: `Lander ${String(i)}`, hand: 'left', email: null, password: null },
    });
    ids.push((await idSchema.validate(await made.json())).id);
  }
  return ids;
}

const alongFrom = (from: Point, direction: Point, by: number): Point => ({
  x: from.x + by * direction.x,
  y: from.y + by * direction.y,
});

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

describe('landings', () => {
  it('say nothing of a table where nobody has landed elsewhere', async () => {
    expect((await watch()).landings).toBeNull();
  });

  it('tell by how much of their way all run longer at one table than elsewhere, whatever they play', async () => {
    const { id: other } = await idSchema.validate(
      await (
        await send(test.app, 'POST', '/api/tables', {
          cookie: club.coach,
          body: { name: 'by the bar', preset: 'pool-9ft' },
        })
      ).json(),
    );
    // Short ways on the one table, long ones on the other: in metres nothing could be compared.
    const stroke = async (drill: string) => {
      const entry = await findDrill(test.pool, LIBRARY, drill, 1);
      if (entry === undefined) throw new Error('no drill');
      const { landing, arrival, shot } = planFor(entry, 1, buildTable('pool-9ft'));
      const way = pathLength(wayAfterHit(simulate(shot, { paths: true }), shot.strike.ball));
      const written = atStage(entry.document, 1);
      if (!isPositionDrill(written)) throw new Error('no stroke');
      return {
        drill,
        pot: written.task.pot,
        longer: (share: number) => alongFrom(landing, arrival, share * way),
      };
    };
    const [short, long] = [await stroke('dead-slow'), await stroke('harbour-turn')];
    for (const [p, playerId] of (await newPlayers(3)).entries()) {
      const habit = 0.01 * (p - 1);
      for (const { poolTable, played, share } of [
        { poolTable: club.poolTable, played: short, share: 0.06 },
        { poolTable: other, played: long, share: 0 },
      ]) {
        const shots = Array.from({ length: 10 }, (_, k) => ({
          potted: [played.pot],
          landing: played.longer(habit + share + 0.01 * ((k % 3) - 1)),
        }));
        const at = '2026-11-24T12:30:00Z';
        await playRound(test, { ...club, playerId, poolTable }, { drill: played.drill, at, shots });
      }
    }
    const { landings } = await watch();
    expect(landings).toMatchObject({ players: 3, alike: 3, landings: 30, isTold: true });
    expect(landings?.along).toBeCloseTo(0.06, 2);
  });
});
