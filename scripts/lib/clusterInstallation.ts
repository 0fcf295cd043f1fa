import type { ChildProcess } from 'node:child_process';
import getPort from 'get-port';
import { ensureBuilt } from './build.ts';
import { Cluster } from './cluster.ts';
import { startProxy, type Proxy } from './proxy.ts';
import { startServer, stopServer } from './server.ts';

const SERVERS = 2;

/** Three database nodes, two servers and a proxy before them, with the demo club. */
export class ClusterInstallation {
  readonly cluster: Cluster;
  readonly url: string;
  readonly #proxy: Proxy;
  readonly #ports: readonly number[];
  readonly #servers: ChildProcess[] = [];

  private constructor(cluster: Cluster, proxy: Proxy, ports: readonly number[]) {
    this.cluster = cluster;
    this.#proxy = proxy;
    this.#ports = ports;
    this.url = `http://127.0.0.1:${String(proxy.port)}`;
  }

  static async start(): Promise<ClusterInstallation> {
    await ensureBuilt();
    const cluster = await Cluster.start();
    process.once('exit', () => cluster.cutOff());
    const ports: number[] = [];
    for (let i = 0; i < SERVERS; i++) ports.push(await getPort({ host: '127.0.0.1' }));
    const installation = new ClusterInstallation(cluster, await startProxy(ports), ports);
    try {
      // Both at once: one migrates and loads the demo club, the other waits for it.
      await Promise.all(ports.map((_, i) => installation.startServer(i)));
    } catch (error) {
      await installation.stop();
      throw error;
    }
    return installation;
  }

  /** Each server begins with another node. */
  async startServer(number: number): Promise<void> {
    this.#servers[number] = await startServer({
      DATABASE_URL: this.cluster.url(number),
      PORT: String(this.#ports[number]),
      JOLLY_DEMO: '1',
      JOLLY_PROXY: '1',
      JOLLY_BENCHMARKS: '0',
    });
  }

  async killServer(number: number): Promise<void> {
    const server = this.#servers[number];
    if (server === undefined) return;
    const ended = new Promise((resolve) => server.once('exit', resolve));
    server.kill('SIGKILL');
    await ended;
  }

  async stop(): Promise<void> {
    await Promise.all(this.#servers.map((server) => stopServer(server)));
    await this.#proxy.close();
    await this.cluster.stop();
  }
}
