import { createServer } from 'node:net';
import getPort from 'get-port';
import { expect, it } from 'vitest';
import { requireFreePort } from './port.ts';
import { StartError } from './report.ts';

it.each(['', 'http', '0', '80.5', '65536', '-1'])('"%s" is no port', async (text) => {
  await expect(requireFreePort(text)).rejects.toThrow(StartError);
  await expect(requireFreePort(text)).rejects.toThrow(`PORT is "${text}"`);
});

it('a free port is taken as it is', async () => {
  const port = await getPort({ host: '127.0.0.1' });
  expect(await requireFreePort(String(port))).toBe(port);
});

it('one that somebody keeps is told with what to do; one that is given free in time is waited for', async () => {
  const other = createServer();
  await new Promise<void>((resolve) => other.listen(0, '127.0.0.1', resolve));
  const address = other.address();
  const port = address !== null && typeof address === 'object' ? address.port : 0;
  await expect(requireFreePort(String(port))).rejects.toThrow(`PORT=${String(port + 1)} npm start`);
  const waiting = requireFreePort(String(port));
  other.close();
  expect(await waiting).toBe(port);
});
