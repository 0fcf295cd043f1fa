import { chmodSync, cpSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import getPort from 'get-port';
import { createConnection, type RowDataPacket } from 'mysql2/promise';
import { databaseAccount, give } from './account.ts';
import { command } from './command.ts';
import { startDatabase, type OwnDatabase } from './database.ts';
import { ensureInstalled, GALERA, MARIADB } from './debian.ts';

const NODES = 3;
const PROVIDER = '/usr/lib/galera/libgalera_smm.so';
/** A node that is silent for so long is taken for gone. */
const TIMES =
  'evs.suspect_timeout=PT1.5S;evs.inactive_timeout=PT3S;evs.inactive_check_period=PT0.3S;evs.keepalive_period=PT0.3S';
const READY_MS = 60_000;

/** What a node that was stopped in peace leaves behind. */
const savedState = (uuid: string, number: string) =>
  `# GALERA saved state\nversion: 2.1\nuuid:    ${uuid}\nseqno:   ${number}\nsafe_to_bootstrap: 0\n`;

interface Node {
  readonly root: string;
  readonly port: number;
  readonly group: number;
  readonly transfer: number;
  database: OwnDatabase | undefined;
}

/** Three MariaDB servers on loopback that are one database, in a temporary folder. */
export class Cluster {
  readonly #folder: string;
  readonly #nodes: readonly Node[];

  private constructor(folder: string, nodes: readonly Node[]) {
    this.#folder = folder;
    this.#nodes = nodes;
  }

  /** Starts it; installs what is missing. */
  static async start(): Promise<Cluster> {
    await ensureInstalled(MARIADB);
    await ensureInstalled(GALERA);
    const folder = mkdtempSync(path.join(tmpdir(), 'jolly-cluster-'));
    chmodSync(folder, 0o755);
    const nodes: Node[] = [];
    for (let i = 0; i < NODES; i++) {
      const free = () => getPort({ host: '127.0.0.1' });
      const root = path.join(folder, `node${String(i + 1)}`);
      nodes.push({
        root,
        port: await free(),
        group: await free(),
        transfer: await free(),
        database: undefined,
      });
    }
    const cluster = new Cluster(folder, nodes);
    try {
      await cluster.#begin();
    } catch (error) {
      await cluster.stop();
      throw error;
    }
    return cluster;
  }

  /** All nodes begin with the same files, so that none has to be sent to another. */
  async #begin(): Promise<void> {
    const [first, ...others] = this.#nodes;
    if (first === undefined) throw new Error('a cluster has nodes');
    await (await startDatabase(first.root, first.port)).stop();
    for (const { root } of others) cpSync(first.root, root, { recursive: true });
    const account = await databaseAccount();
    if (account !== undefined) {
      for (const { root } of others) await command('chown', ['-R', `${account.name}:`, root]);
    }
    first.database = await startDatabase(first.root, first.port, [
      ...this.#settings(first),
      '--wsrep-new-cluster',
    ]);
    const uuid = await this.#status(first, 'wsrep_cluster_state_uuid');
    for (const node of others) {
      // Up to here the history is that the nodes came together: their files are alike.
      const number = await this.#status(first, 'wsrep_last_committed');
      const state = path.join(node.root, 'data', 'grastate.dat');
      writeFileSync(state, savedState(uuid, number));
      give(state, account);
      await this.#join(node, `${uuid}:${number}`);
    }
  }

  async #join(node: Node, position: string): Promise<void> {
    node.database = await startDatabase(node.root, node.port, [
      ...this.#settings(node),
      `--wsrep-start-position=${position}`,
    ]);
    const end = Date.now() + READY_MS;
    while ((await this.#status(node, 'wsrep_ready')) !== 'ON') {
      if (Date.now() > end) throw new Error(`the node in ${node.root} does not join`);
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
  }

  #settings({ group, transfer }: Node): readonly string[] {
    const addresses = this.#nodes.map((node) => `127.0.0.1:${String(node.group)}`).join(',');
    return [
      '--wsrep-on=ON',
      `--wsrep-provider=${PROVIDER}`,
      '--wsrep-cluster-name=jolly-rail',
      `--wsrep-cluster-address=gcomm://${addresses}`,
      '--wsrep-node-address=127.0.0.1',
      `--wsrep-provider-options=base_port=${String(group)};gmcast.listen_addr=tcp://127.0.0.1:${String(group)};ist.recv_addr=127.0.0.1:${String(transfer)};gcache.size=128M;${TIMES}`,
      // Nodes begin alike: nothing whole is ever sent.
      '--wsrep-sst-method=skip',
      '--binlog-format=ROW',
      '--innodb-autoinc-lock-mode=2',
      '--innodb-flush-log-at-trx-commit=1',
      '--wsrep-slave-threads=2',
      '--innodb-buffer-pool-size=256M',
    ];
  }

  async #status({ database }: Node, name: string): Promise<string> {
    if (database === undefined) throw new Error('this node does not run');
    const connection = await createConnection(database.url);
    try {
      const [rows] = await connection.query<(RowDataPacket & { Value: string })[]>('SHOW STATUS LIKE ?', [
        name,
      ]);
      return rows[0]?.Value ?? '';
    } finally {
      await connection.end();
    }
  }

  /** The address that names all nodes, beginning with one. */
  url(first: number): string {
    const order = this.#nodes.map((_, i) => this.#nodes[(first + i) % NODES]);
    const hosts = order.map((node) => `127.0.0.1:${String(node?.port)}`).join(',');
    return this.aliveUrl().replace(/@[^/]+\//, `@${hosts}/`);
  }

  /** The address of one node that runs. */
  aliveUrl(): string {
    const url = this.#nodes.find(({ database }) => database !== undefined)?.database?.url;
    if (url === undefined) throw new Error('no node of the cluster runs');
    return url;
  }

  /** Ends a node as a power cut does. */
  async kill(number: number): Promise<void> {
    const node = this.#nodes[number];
    const child = node?.database?.process;
    if (node === undefined || child === undefined) return;
    const ended = new Promise((resolve) => child.once('exit', resolve));
    child.kill('SIGKILL');
    await ended;
    node.database = undefined;
  }

  async stop(): Promise<void> {
    for (const node of this.#nodes) {
      await node.database?.stop();
      node.database = undefined;
    }
    rmSync(this.#folder, { recursive: true, force: true });
  }

  /** For when this process ends without having stopped it. */
  cutOff(): void {
    for (const { database } of this.#nodes) database?.process.kill('SIGKILL');
    rmSync(this.#folder, { recursive: true, force: true });
  }
}
