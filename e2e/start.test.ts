import { spawn, type ChildProcess } from 'node:child_process';
import { chmodSync, existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import getPort from 'get-port';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { welcomeSchema } from '../core/records/account.ts';
import { openFirstClub } from './lib/firstClub.ts';

interface Running {
  readonly child: ChildProcess;
  readonly ended: Promise<number | null>;
  output(): string;
}

let data: string;
let port: number;
const started: ChildProcess[] = [];

beforeAll(async () => {
  data = mkdtempSync(path.join(tmpdir(), 'jolly-start-'));
  // The database's own account must get in.
  chmodSync(data, 0o755);
  port = await getPort({ host: '127.0.0.1' });
});
afterAll(() => {
  for (const child of started) child.kill('SIGKILL');
  rmSync(data, { recursive: true, force: true });
});

/** Runs the start command for a real club in a data folder of its own. */
function start(): Running {
  const child = spawn(process.execPath, ['scripts/start.mjs', '--empty'], {
    env: { ...process.env, JOLLY_DATA: data, PORT: String(port) },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  started.push(child);
  let text = '';
  child.stdout.on('data', (chunk: Buffer) => (text += chunk.toString()));
  child.stderr.on('data', (chunk: Buffer) => (text += chunk.toString()));
  const ended = new Promise<number | null>((resolve) => child.once('exit', resolve));
  return { child, ended, output: () => text };
}

async function ready(run: Running): Promise<void> {
  await expect
    .poll(() => run.output(), { timeout: 60_000 })
    .toContain(`is ready: http://127.0.0.1:${String(port)}`);
}

async function isEmpty(): Promise<boolean> {
  const response = await fetch(`http://127.0.0.1:${String(port)}/api/welcome`);
  return (await welcomeSchema.validate(await response.json())).empty;
}

function databasePid(): number {
  return Number(readFileSync(path.join(data, 'club', 'mariadb', 'mariadb.pid'), 'utf8').trim());
}

function alive(pid: number): boolean {
  return existsSync(`/proc/${String(pid)}`);
}

describe('the start command', () => {
  it('says what to do when the port is taken', async () => {
    const holder = createServer();
    await new Promise<void>((resolve) => holder.listen(port, '127.0.0.1', resolve));
    const run = start();
    expect(await run.ended).toBe(1);
    expect(run.output()).toContain(`Port ${String(port)} is taken by another program. Stop that one, or`);
    await new Promise((resolve) => holder.close(resolve));
  });

  it('keeps a club through kill -9 of the database, of everything, and through a clean stop', async () => {
    const first = start();
    await ready(first);
    expect(await isEmpty()).toBe(true);
    await openFirstClub(`http://127.0.0.1:${String(port)}`);

    const again = start();
    expect(await again.ended).toBe(1);
    expect(again.output()).toContain('Jolly Rail is already running with the data in');

    const killed = databasePid();
    process.kill(killed, 'SIGKILL');
    await expect.poll(() => isEmpty().catch(() => undefined), { timeout: 60_000, interval: 200 }).toBe(false);
    expect(databasePid()).not.toBe(killed);

    const orphan = databasePid();
    first.child.kill('SIGKILL');
    await first.ended;
    const second = start();
    await ready(second);
    expect(alive(orphan)).toBe(false);
    expect(await isEmpty()).toBe(false);

    const last = databasePid();
    second.child.kill('SIGTERM');
    expect(await second.ended).toBe(0);
    expect(second.output()).toContain('everything is saved');
    expect(alive(last)).toBe(false);
    await expect(isEmpty()).rejects.toThrow('fetch failed');
  });
});
