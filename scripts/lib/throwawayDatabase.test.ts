import { spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import { createConnection } from 'mysql2/promise';
import { expect, it } from 'vitest';
import { startThrowawayDatabase } from './throwawayDatabase.ts';

/** A process that starts one, says where it is, and would go on for ever. */
const HOLDER = `
  import { startThrowawayDatabase } from './scripts/lib/throwawayDatabase.ts';
  const { url, folder } = await startThrowawayDatabase('jolly-held');
  console.log(JSON.stringify({ url, folder }));
  setInterval(() => undefined, 1000);
`;

const answers = async (url: string) => {
  const connection = await createConnection(url);
  await connection.query('SELECT 1');
  await connection.end();
};

it('comes back where it was after a crash, with what was stored, and is gone after its end', async () => {
  const database = await startThrowawayDatabase('jolly-crashed');
  const before = await createConnection(database.url);
  await before.query('CREATE TABLE kept (n INT) ENGINE=InnoDB');
  await before.query('INSERT INTO kept VALUES (7)');
  before.destroy();
  await database.kill();
  await expect(answers(database.url)).rejects.toThrow('ECONNREFUSED');
  await database.startAgain();
  const after = await createConnection(database.url);
  const [rows] = await after.query('SELECT n FROM kept');
  expect(rows).toEqual([{ n: 7 }]);
  await after.end();
  await database.end();
  await expect(answers(database.url)).rejects.toThrow('ECONNREFUSED');
  expect(existsSync(database.folder)).toBe(false);
});

it.each(['SIGINT', 'SIGTERM'] as const)('does not outlive a process that is ended by %s', async (signal) => {
  const holder = spawn(process.execPath, ['--import', 'tsx', '--input-type=module', '-e', HOLDER], {
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const line = await new Promise<string>((resolve) => {
    holder.stdout.once('data', (chunk: Buffer) => resolve(chunk.toString()));
  });
  const [, url = ''] = /"url":"([^"]+)"/.exec(line) ?? [];
  const [, folder = ''] = /"folder":"([^"]+)"/.exec(line) ?? [];
  await answers(url);
  const ended = new Promise((resolve) => holder.once('exit', resolve));
  holder.kill(signal);
  await ended;
  await expect
    .poll(() =>
      answers(url).then(
        () => 'answers',
        () => 'gone',
      ),
    )
    .toBe('gone');
  expect(existsSync(folder)).toBe(false);
});
