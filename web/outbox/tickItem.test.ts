import { QueryClient } from '@tanstack/react-query';
import { afterEach, expect, it, vi } from 'vitest';
import { programmeQuery } from '../api/programmes.ts';
import { item, programme } from '../testing/programme.ts';
import { tickItem } from './tickItem.ts';

const ID = '00000000-0000-4000-8000-000000000001';
const OTHER = '00000000-0000-4000-8000-000000000002';
const key = programmeQuery(ID).queryKey;
const fetching = vi.fn<typeof fetch>();
vi.stubGlobal('fetch', fetching);
afterEach(() => fetching.mockReset());

function opened(ticked: readonly string[]) {
  const queries = new QueryClient();
  queries.setQueryData(key, programme([item(ID), item(OTHER)], { ticked }));
  const ticks = () => queries.getQueryData(key)?.programme.ticks.map((tick) => tick.item);
  return { queries, ticks };
}

/** A reply of the server that comes when it is let go. */
function heldReply() {
  let answer: (response: Response) => void = () => undefined;
  fetching.mockImplementationOnce(() => new Promise((resolve) => (answer = resolve)));
  return (body: unknown, status = 200) => answer(new Response(JSON.stringify(body), { status }));
}

it('a tick is seen before the server has it, and stays as the server keeps it', async () => {
  const { queries, ticks } = opened([OTHER]);
  const reply = heldReply();
  const ticking = tickItem(queries, ID, ID, true);
  await vi.waitFor(() => expect(fetching).toHaveBeenCalledTimes(1));
  expect(ticks()).toEqual([OTHER, ID]);
  const [address, sent] = fetching.mock.calls[0] ?? [];
  expect([address, sent?.method, sent?.body]).toEqual([
    `/api/programmes/${ID}/items/${ID}/done`,
    'PUT',
    '{"done":true}',
  ]);
  const stored = {
    ...programme([item(ID), item(OTHER)], { ticked: [ID] }).programme,
    id: ID,
    version: 2,
    player: { id: OTHER, name: 'Wren' },
  };
  reply({ ...stored, document: { ...stored.document, playerId: OTHER } });
  await ticking;
  expect(ticks()).toEqual([ID]);
  expect(queries.getQueryData(key)?.programme.version).toBe(2);
});

it('a tick is taken back, once only', async () => {
  const { queries, ticks } = opened([ID, OTHER]);
  heldReply();
  void tickItem(queries, ID, ID, false);
  await vi.waitFor(() => expect(fetching).toHaveBeenCalledTimes(1));
  expect(ticks()).toEqual([OTHER]);
});

it('what the server refuses stands again as it was, and the reason is passed on', async () => {
  const { queries, ticks } = opened([OTHER]);
  const reply = heldReply();
  const ticking = tickItem(queries, ID, ID, true);
  await vi.waitFor(() => expect(fetching).toHaveBeenCalledTimes(1));
  reply({ error: { message: 'this entry is gone', field: null } }, 404);
  await expect(ticking).rejects.toThrow('this entry is gone');
  expect(ticks()).toEqual([OTHER]);
});
