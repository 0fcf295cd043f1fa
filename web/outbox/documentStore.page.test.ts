import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { array, number, object, string } from 'yup';
import { refusal } from '../testing/device.ts';
import { DocumentStore, type Versioned } from './documentStore.ts';

const planSchema = object({
  title: string().strict().required(),
  blocks: array(
    object({ id: string().strict().required(), minutes: number().strict().required() }),
  ).required(),
}).required();
type Plan = ReturnType<typeof planSchema.validateSync>;
const storedSchema = object({ version: number().strict().required(), document: planSchema }).required();

const COACH = { id: 'coach', name: 'Morwenna' };
const plan = (title: string, ...minutes: number[]): Plan => ({
  title,
  blocks: minutes.map((each, i) => ({ id: `b${String(i)}`, minutes: each })),
});

/** A server that keeps one document, refuses what was not made from its newest version, and counts requests. */
let kept: Versioned<Plan>;
let puts: number[];
let reach: 'all' | 'none' | 'answers are lost' | Response;
let underWay: number;

beforeEach(() => {
  vi.useFakeTimers();
  localStorage.clear();
  kept = { version: 1, document: plan('Tuesday', 10, 20) };
  puts = [];
  reach = 'all';
  underWay = 0;
  vi.stubGlobal('fetch', async (_: string, init: RequestInit) => {
    if (reach === 'none') throw new TypeError('no network');
    if (reach instanceof Response) return reach.clone();
    if (init.method === 'PUT') {
      underWay++;
      expect(underWay).toBe(1);
      const value: unknown = typeof init.body === 'string' ? JSON.parse(init.body) : null;
      const { document, basedOn } = object({
        document: planSchema,
        basedOn: number().required(),
      }).validateSync(value);
      puts.push(basedOn);
      await new Promise((resolve) => setTimeout(resolve, 100));
      underWay--;
      if (basedOn !== kept.version) return refusal(409, 'changed elsewhere');
      kept = { version: kept.version + 1, document };
      if (reach === 'answers are lost') throw new TypeError('no network');
    }
    return new Response(JSON.stringify(kept));
  });
});
afterEach(() => vi.useRealTimers());

function openStore() {
  const parse = (reply: unknown) => storedSchema.validate(reply);
  const store = new DocumentStore<Plan, Versioned<Plan>>({
    path: 'plans',
    documentSchema: planSchema,
    stored: parse,
    read: parse,
  });
  store.setOwner(COACH);
  return store;
}
const wait = (ms: number) => vi.advanceTimersByTimeAsync(ms);

it('quick changes are sent one after the other, the last one stands, and none is refused', async () => {
  const store = openStore();
  const from = kept;
  store.change('1', from, plan('Wednesday', 10, 20));
  await wait(650);
  store.change('1', from, plan('Thursday', 10, 20));
  store.change('1', from, plan('Friday', 10, 20));
  await wait(3_000);
  expect(puts).toEqual([1, 2]);
  expect(kept).toEqual({ version: 3, document: plan('Friday', 10, 20) });
  expect(store.unsaved('1')).toBeUndefined();
});

it('a change elsewhere of something else is merged without a word', async () => {
  const store = openStore();
  const from = kept;
  kept = { version: 5, document: plan('Tuesday', 10, 45) };
  store.change('1', from, plan('Wednesday', 10, 20));
  await wait(3_000);
  expect(kept.document).toEqual(plan('Wednesday', 10, 45));
  expect(store.unsaved('1')).toBeUndefined();
});

it('a change elsewhere of the same is told, and nothing is overwritten before somebody says what counts', async () => {
  for (const [choice, title] of [
    ['mine', 'Wednesday'],
    ['theirs', 'Sunday'],
  ] as const) {
    const store = openStore();
    const from = kept;
    kept = { version: kept.version + 1, document: plan('Sunday', 10, 45) };
    store.change('1', from, plan('Wednesday', 10, 20));
    await wait(10_000);
    expect(store.unsaved('1')).toMatchObject({ saving: 'changed elsewhere', conflicts: ['title'] });
    expect(kept.document.title).toBe('Sunday');
    const settled = store.settle('1', choice);
    await wait(1_000);
    await settled;
    expect(kept.document.title).toBe(title);
    expect(store.unsaved('1')).toBeUndefined();
    kept = { version: kept.version + 1, document: plan('Tuesday', 10, 20) };
  }
});

it('a lost answer is not taken for somebody else’s change', async () => {
  const store = openStore();
  reach = 'answers are lost';
  store.change('1', kept, plan('Wednesday', 10, 20));
  await wait(1_000);
  reach = 'all';
  await wait(10_000);
  expect(kept.document).toEqual(plan('Wednesday', 10, 20));
  expect(store.unsaved('1')).toBeUndefined();
});

it('without network it stays on the device, and the next page sends it as its writer’s', async () => {
  const store = openStore();
  reach = 'none';
  store.change('1', kept, plan('Wednesday', 10, 20));
  await wait(2_000);
  expect(store.unsaved('1')).toMatchObject({ saving: 'kept here', mine: { title: 'Wednesday' } });
  store.setOwner({ id: 'student', name: 'Perran' });
  expect(store.unsaved('1')).toBeUndefined();
  reach = 'all';
  await wait(20_000);
  expect(kept.version).toBe(1);
  openStore();
  await wait(2_000);
  expect(kept).toEqual({ version: 2, document: plan('Wednesday', 10, 20) });
});

it('a refusal is told with its reason and keeps what was typed', async () => {
  const store = openStore();
  reach = refusal(400, 'title is missing');
  store.change('1', kept, plan('Wednesday', 10, 20));
  await wait(20_000);
  expect(store.unsaved('1')).toMatchObject({ saving: 'refused', refusal: 'title is missing' });
  reach = 'all';
  store.again('1');
  await wait(2_000);
  expect(kept.document.title).toBe('Wednesday');
});
