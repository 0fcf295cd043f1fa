import path from 'node:path';
import { DEMO_SIGN_INS } from '../server/demo/people.ts';
import { ensureBuilt } from './lib/build.ts';
import { databaseFolder, startDatabase, type OwnDatabase } from './lib/database.ts';
import { dataFolder } from './lib/dataFolder.ts';
import { ensureInstalled, MARIADB } from './lib/debian.ts';
import { requireFreePort } from './lib/port.ts';
import { leaveWith, say, StartError, step } from './lib/report.ts';
import { claimFolder } from './lib/running.ts';
import { startServer, stopServer } from './lib/server.ts';

/** More restarts than this within a minute mean that something is broken for good. */
const RESTARTS_A_MINUTE = 5;

const demo = !process.argv.includes('--empty');
const external = process.env['DATABASE_URL'];

/** Database and server, kept running until somebody stops them. */
class Installation {
  readonly #port: number;
  readonly #folder: string;
  readonly #release: () => void;
  readonly #restarts: number[] = [];
  #database: OwnDatabase | undefined;
  #server: Awaited<ReturnType<typeof startServer>> | undefined;
  #stopping = false;

  constructor(port: number, folder: string, release: () => void) {
    this.#port = port;
    this.#folder = folder;
    this.#release = release;
  }

  async start(): Promise<void> {
    await this.#startDatabase();
    await this.#startServer();
  }

  /** @param code the process's exit code */
  async stop(code = 0): Promise<void> {
    if (this.#stopping) return;
    this.#stopping = true;
    say('Stopping the server and the database');
    if (this.#server !== undefined) await stopServer(this.#server);
    await this.#database?.stop();
    this.#release();
    say('Stopped; everything is saved');
    process.exit(code);
  }

  async #startDatabase(): Promise<void> {
    if (external !== undefined) return;
    const folder = databaseFolder(this.#folder);
    this.#database = await step(`Starting the database in ${folder}`, () => startDatabase(folder));
    this.#database.process.once('exit', () =>
      this.#restart('database', () => this.#startDatabase().then(() => this.#replaceServer())),
    );
  }

  async #startServer(): Promise<void> {
    const url = external ?? this.#database?.url;
    if (url === undefined) throw new StartError('There is no database to serve from.');
    this.#server = await step('Starting the server (the first start also loads its data)', () =>
      startServer({
        DATABASE_URL: url,
        PORT: String(this.#port),
        JOLLY_DEMO: demo ? '1' : '0',
        JOLLY_BACKUPS: process.env['JOLLY_BACKUPS'] ?? path.join(this.#folder, 'backups'),
      }),
    );
    this.#server.once('exit', () => this.#restart('server', () => this.#startServer()));
  }

  /** The database came back on another port: the server is told by being started again. */
  async #replaceServer(): Promise<void> {
    const old = this.#server;
    old?.removeAllListeners('exit');
    if (old !== undefined) await stopServer(old);
    await this.#startServer();
  }

  #restart(what: string, again: () => Promise<void>): void {
    if (this.#stopping) return;
    const now = Date.now();
    this.#restarts.push(now);
    if (this.#restarts.filter((at) => now - at < 60_000).length > RESTARTS_A_MINUTE) {
      console.error(`\nThe ${what} keeps ending. See the messages above, then start again.`);
      void this.stop(1);
      return;
    }
    say(`The ${what} ended unexpectedly; starting it again`);
    again().catch((error: unknown) => {
      console.error(error instanceof Error ? error.message : error);
      void this.stop(1);
    });
  }
}

try {
  say(`Jolly Rail on Node.js ${process.versions.node}`);
  const folder = dataFolder(demo);
  const release = claimFolder(folder);
  process.once('exit', release);
  const port = await requireFreePort(process.env['PORT'] ?? '4610');
  if (external === undefined) await ensureInstalled(MARIADB);
  await ensureBuilt();
  const installation = new Installation(port, folder, release);
  const stop = () => void installation.stop();
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
  process.on('SIGHUP', stop);
  await installation.start().catch(async (error: unknown) => {
    console.error(error instanceof StartError ? `\n${error.message}` : error);
    await installation.stop(1);
  });
  console.log(`\nJolly Rail is ready: http://127.0.0.1:${String(port)}\n`);
  if (demo) {
    console.log('The demo club is made up. Sign in as');
    for (const { name, role, email, password } of DEMO_SIGN_INS) {
      console.log(`  ${name}, ${role}: ${email} / ${password}`);
    }
  } else {
    console.log('The first visitor makes the club and its first coach.');
  }
  console.log('\nCtrl-C stops it.');
} catch (error) {
  leaveWith(error);
}
