import { afterEach, expect, it, vi } from 'vitest';
import { number, object } from 'yup';
import { ApiError, call, get, OfflineError } from './client.ts';

const fetching = vi.fn<typeof fetch>();
vi.stubGlobal('fetch', fetching);
afterEach(() => fetching.mockReset());

const reply = (status: number, body: string) =>
  fetching.mockResolvedValueOnce(new Response(body, { status }));

it('sends JSON to the server with the session, and nothing where there is nothing to send', async () => {
  reply(200, '{"a":1}');
  expect(await call('PUT', '/rounds/1', { stage: 2 })).toEqual({ a: 1 });
  expect(fetching).toHaveBeenCalledWith('/api/rounds/1', {
    method: 'PUT',
    credentials: 'same-origin',
    headers: { 'content-type': 'application/json' },
    body: '{"stage":2}',
  });
  reply(200, '{}');
  await call('DELETE', '/rounds/1');
  expect(fetching).toHaveBeenLastCalledWith('/api/rounds/1', {
    method: 'DELETE',
    credentials: 'same-origin',
    headers: {},
  });
  reply(200, '{}');
  await call('DELETE', '/rounds/1', undefined, { as: 'ida' });
  expect(fetching.mock.lastCall?.[1]?.headers).toEqual({ 'x-jolly-person': 'ida' });
});

it('a refusal names the field and keeps the server’s words', async () => {
  reply(400, '{"error":{"message":"minutes must be at least 1","field":"minutes"}}');
  const refused = call('POST', '/lessons', {});
  await expect(refused).rejects.toBeInstanceOf(ApiError);
  await expect(refused).rejects.toMatchObject({
    status: 400,
    field: 'minutes',
    message: 'minutes must be at least 1',
  });
});

it('a refusal in other words, as of a proxy between, tells at least its number', async () => {
  reply(502, '<html>bad gateway</html>');
  await expect(call('GET', '/me')).rejects.toMatchObject({
    status: 502,
    field: null,
    message: 'the server answered 502',
  });
});

it('a server that is not reached is told from one that refuses', async () => {
  const cause = new TypeError('failed to fetch');
  fetching.mockRejectedValueOnce(cause);
  const lost = call('GET', '/me');
  await expect(lost).rejects.toBeInstanceOf(OfflineError);
  await expect(lost).rejects.toMatchObject({ cause });
});

it('a reply is parsed before it is used', async () => {
  const schema = object({ rounds: number().strict().required() }).required();
  reply(200, '{"rounds":3}');
  expect(await get('/players', schema)).toEqual({ rounds: 3 });
  reply(200, '{"rounds":"three"}');
  await expect(get('/players', schema)).rejects.toThrow(/rounds/);
});
