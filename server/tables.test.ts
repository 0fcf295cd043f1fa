import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { BLANK_SHOT } from '../core/records/loggedShot.ts';
import { logOf } from '../core/records/attempt.ts';
import { openRoundSchema } from '../core/records/openRound.ts';
import { roundsSchema } from '../core/records/round.ts';
import { clubTablesSchema, tableStateSchema, type ClubTable } from '../core/records/clubTable.ts';
import { CONDITIONS_HOLD_MS } from '../core/records/conditions.ts';
import { tableLogSchema } from '../core/records/tableLog.ts';
import { standardCard, tableOfCard, type TableCard } from '../core/table/card.ts';
import { tableFingerprint } from '../core/table/table.ts';
import { createTestApp, createTestClub, send, type TestApp, type TestClub } from './testing/club.ts';
import { newRound } from './testing/newRound.ts';

let test: TestApp;
let club: TestClub;

beforeAll(async () => {
  test = await createTestApp();
  club = await createTestClub(test, 'turnstone');
});
afterAll(() => test.close());

async function makeTable(): Promise<string> {
  const name = `table ${randomUUID().slice(0, 8)}`;
  const made = await send(test.app, 'POST', '/api/tables', {
    cookie: club.coach,
    body: { name, preset: 'pool-9ft' },
  });
  expect(made.status).toBe(201);
  const table = (await tables()).find((each) => each.name === name);
  return table?.id ?? '';
}

async function tables(): Promise<ClubTable[]> {
  return clubTablesSchema.validate(
    await (await send(test.app, 'GET', '/api/tables', { cookie: club.player })).json(),
  );
}

async function tableWith(id: string): Promise<ClubTable> {
  const table = (await tables()).find((each) => each.id === id);
  if (table === undefined) throw new Error('the table is gone');
  return table;
}

const FAST: TableCard = { ...standardCard('pool-9ft'), clothSpeed: 'fast', pockets: 'tight' };

function change(id: string, card: TableCard, basedOn: number, more: Record<string, unknown> = {}) {
  return send(test.app, 'PUT', `/api/tables/${id}`, {
    cookie: club.coach,
    body: { name: `changed ${id.slice(0, 8)}`, archived: false, card, basedOn, ...more },
  });
}

function note(id: string, noteId: string, air: string, notedAt = new Date(test.clock.now).toISOString()) {
  return send(test.app, 'PUT', `/api/tables/${id}/conditions/${noteId}`, {
    cookie: club.coach,
    body: { conditions: { air, warmth: 'ordinary', balls: 'ordinary' }, note: ' rain ', notedAt },
  });
}

async function log(id: string) {
  return tableLogSchema.validate(
    await (await send(test.app, 'GET', `/api/tables/${id}/log`, { cookie: club.coach })).json(),
  );
}

describe('a table’s card', () => {
  it('starts as its kind ships, and every change is another revision in the log', async () => {
    const id = await makeTable();
    expect((await tableWith(id)).state).toEqual({
      revision: 1,
      card: standardCard('pool-9ft'),
      conditions: null,
    });
    expect((await change(id, FAST, 1)).status).toBe(200);
    expect((await tableWith(id)).state).toMatchObject({ revision: 2, card: FAST });
    const { revisions } = await log(id);
    expect(revisions.map(({ revision, card, by }) => [revision, card.clothSpeed, by])).toEqual([
      [2, 'fast', 'coach of turnstone'],
      [1, 'medium', null],
    ]);
  });

  it('saved unchanged, or only renamed, keeps its revision', async () => {
    const id = await makeTable();
    await change(id, standardCard('pool-9ft'), 1, { name: `other ${id.slice(0, 8)}` });
    expect(await tableWith(id)).toMatchObject({ name: `other ${id.slice(0, 8)}`, state: { revision: 1 } });
  });

  it('is not overwritten by somebody who had an older one: of two at once one is refused', async () => {
    const id = await makeTable();
    const replies = await Promise.all([change(id, FAST, 1), change(id, { ...FAST, clothSpeed: 'slow' }, 1)]);
    expect(replies.map((reply) => reply.status).sort()).toEqual([200, 409]);
    const refused = replies.find((reply) => reply.status === 409);
    expect(await refused?.json()).toMatchObject({ error: { field: 'basedOn' } });
    expect((await log(id)).revisions).toHaveLength(2);
  });

  it('stays of its kind, and a name is only taken once', async () => {
    const id = await makeTable();
    const other = await change(id, standardCard('snooker-12ft'), 1);
    expect([other.status, await other.json()]).toMatchObject([400, { error: { field: 'card.preset' } }]);
    const taken = await change(id, FAST, 1, { name: 'one' });
    expect([taken.status, await taken.json()]).toMatchObject([409, { error: { field: 'name' } }]);
    expect((await tableWith(id)).state.revision).toBe(1);
  });

  it('names the number that is out of bounds', async () => {
    const id = await makeTable();
    const measured = [{ name: 'noseHeight' as const, value: 36, source: 'in mm by mistake' }];
    const reply = await change(id, { ...FAST, measured }, 1);
    expect(reply.status).toBe(400);
    expect(await reply.json()).toMatchObject({ error: { field: 'card.measured[0].value' } });
  });

  it('is archived and brought back', async () => {
    const id = await makeTable();
    await change(id, FAST, 1, { archived: true });
    expect((await tableWith(id)).archived).toBe(true);
    await change(id, FAST, 2);
    expect(await tableWith(id)).toMatchObject({ archived: false, state: { revision: 2 } });
  });
});

describe('tonight’s conditions', () => {
  it('hold for the night, the newest note first, and are in the log with their date', async () => {
    const id = await makeTable();
    const [first, second] = [randomUUID(), randomUUID()];
    await note(id, first, 'dry');
    test.clock.now += 3_600_000;
    await note(id, second, 'damp');
    expect((await tableWith(id)).state.conditions).toMatchObject({
      id: second,
      conditions: { air: 'damp' },
      note: 'rain',
      by: 'coach of turnstone',
    });
    expect((await log(id)).conditions.map((each) => each.id)).toEqual([second, first]);
    test.clock.now += CONDITIONS_HOLD_MS;
    expect((await tableWith(id)).state.conditions).toBeNull();
    expect((await log(id)).conditions).toHaveLength(2);
  });

  it('noted twice by a device that did not hear the answer are one note', async () => {
    const id = await makeTable();
    const noteId = randomUUID();
    await Promise.all([note(id, noteId, 'dry'), note(id, noteId, 'dry'), note(id, noteId, 'dry')]);
    expect((await log(id)).conditions).toHaveLength(1);
  });

  it('withdrawn hold no more, and are brought back by sending them again', async () => {
    const id = await makeTable();
    const noteId = randomUUID();
    await note(id, noteId, 'dry');
    const url = `/api/tables/${id}/conditions/${noteId}`;
    await send(test.app, 'DELETE', url, { cookie: club.coach });
    expect((await tableWith(id)).state.conditions).toBeNull();
    expect((await log(id)).conditions).toMatchObject([{ id: noteId, withdrawn: true }]);
    await note(id, noteId, 'dry');
    expect((await tableWith(id)).state.conditions?.id).toBe(noteId);
  });

  it('from a device whose clock is ahead hold at once', async () => {
    const id = await makeTable();
    await note(id, randomUUID(), 'dry', new Date(test.clock.now + 7_200_000).toISOString());
    expect((await tableWith(id)).state.conditions?.conditions.air).toBe('dry');
  });

  it('of one table cannot be moved to another', async () => {
    const [id, other] = [await makeTable(), await makeTable()];
    const noteId = randomUUID();
    await note(id, noteId, 'dry');
    expect((await note(other, noteId, 'damp')).status).toBe(409);
    expect((await tableWith(other)).state.conditions).toBeNull();
  });
});

describe('a round', () => {
  async function open(
    tableId: string,
    tableRevision: number,
    conditionsId: string | null,
    drill = 'harbour-turn',
  ) {
    const id = randomUUID();
    const response = await send(test.app, 'PUT', `/api/rounds/${id}`, {
      cookie: club.coach,
      body: newRound(
        { playerId: club.playerId, tableId },
        { tableRevision, conditionsId, drill, stage: 2, startedAt: new Date(test.clock.now).toISOString() },
      ),
    });
    return { id, response };
  }

  it('remembers the card and the conditions as they were, whatever becomes of them', async () => {
    const id = await makeTable();
    await change(id, FAST, 1);
    const noteId = randomUUID();
    await note(id, noteId, 'damp');
    const { id: round, response } = await open(id, 2, noteId);
    expect(response.status).toBe(200);
    await change(id, { ...FAST, clothSpeed: 'slow', pockets: 'ordinary' }, 2);
    await send(test.app, 'DELETE', `/api/tables/${id}/conditions/${noteId}`, { cookie: club.coach });
    await note(id, randomUUID(), 'dry');

    const again = await openRoundSchema.validate(
      await (await send(test.app, 'GET', `/api/rounds/${round}`, { cookie: club.player })).json(),
    );
    expect(again.tableState).toMatchObject({ revision: 2, card: FAST, conditions: { id: noteId } });
    const damp = { air: 'damp', warmth: 'ordinary', balls: 'ordinary' } as const;
    expect(again.round.table.fingerprint).toBe(tableFingerprint(tableOfCard(FAST, damp)));

    await send(test.app, 'POST', `/api/rounds/${round}/end`, {
      cookie: club.coach,
      body: { endedAt: new Date(test.clock.now).toISOString(), early: true },
    });
    const rounds = await roundsSchema.validate(
      await (
        await send(test.app, 'GET', `/api/players/${club.playerId}/rounds`, { cookie: club.player })
      ).json(),
    );
    const table = rounds.find((each) => each.id === round)?.table;
    expect(table).toMatchObject({ id, revision: 2, conditionsId: noteId });
    const state = await send(
      test.app,
      'GET',
      `/api/tables/${id}/states/${String(table?.revision)}?conditions=${noteId}`,
      { cookie: club.player },
    );
    expect(await tableStateSchema.validate(await state.json())).toMatchObject({ card: FAST });
  });

  it('is counted on its table: the same landing is worth what the window there says', async () => {
    const id = await makeTable();
    await change(id, { ...FAST, clothSpeed: 'medium', pockets: 'wide' }, 1);
    const points = async (revision: number) => {
      const { id: round } = await open(id, revision, null);
      let sum = 0;
      for (let ordinal = 1; ordinal <= 8; ordinal++) {
        const reply = await send(test.app, 'PUT', `/api/rounds/${round}/attempts/${randomUUID()}`, {
          cookie: club.coach,
          body: {
            ordinal,
            log: logOf({
              shots: [{ ...BLANK_SHOT, potted: ['1'], landing: { x: 1.2 + 0.1 * ordinal, y: 0.62 } }],
            }),
            playedAt: new Date(test.clock.now).toISOString(),
          },
        });
        const body = (await reply.json()) as { attempt: { points: number } };
        sum += body.attempt.points;
      }
      return sum;
    };
    // Wide pockets make every place worth at least as much, and some more.
    expect(await points(2)).toBeGreaterThan(await points(1));
  });

  it('is refused on a state that the table never had, or another club’s', async () => {
    const id = await makeTable();
    const other = await makeTable();
    const noteId = randomUUID();
    await note(other, noteId, 'dry');
    const stranger = await createTestClub(test, 'dunlin');
    for (const attempt of [open(id, 2, null), open(id, 1, noteId), open(stranger.poolTable, 1, null)]) {
      const { response } = await attempt;
      expect(response.status).toBe(404);
      expect(await response.json()).toMatchObject({ error: { field: 'tableId' } });
    }
  });

  it('is refused where the planned stroke cannot be played, with the reason', async () => {
    const id = await makeTable();
    // Corners so narrow take no ball along the cushion.
    const measured = [{ name: 'cornerMouth' as const, value: 0.07, source: 'calliper' }];
    await change(id, { ...standardCard('pool-9ft'), measured }, 1);
    const { response } = await open(id, 2, null, 'along-the-rail');
    expect(response.status).toBe(400);
    expect(await response.json()).toMatchObject({ error: { field: 'tableId' } });
  });
});

describe('a benchmark', () => {
  const url = '/api/drills/harbour-turn/revisions/1/stages/1/benchmark';

  it('is kept for each table as it plays, and asked for by a state of the club’s table', async () => {
    const id = await makeTable();
    await change(id, FAST, 1);
    const ask = (query: string) => send(test.app, 'GET', `${url}${query}`, { cookie: club.player });
    expect((await ask(`?table=${id}&revision=2`)).status).toBe(200);
    expect((await ask(`?table=${id}&revision=3`)).status).toBe(404);
    expect((await ask(`?table=${id}`)).status).toBe(400);
    expect((await ask(`?table=${club.snookerTable}&revision=1`)).status).toBe(400);
  });
});
