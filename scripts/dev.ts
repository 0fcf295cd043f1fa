import { spawn } from 'node:child_process';
import path from 'node:path';
import { createServer } from 'vite';
import { databaseFolder, startDatabase } from './lib/database.ts';
import { dataFolder } from './lib/dataFolder.ts';
import { ensureInstalled, MARIADB } from './lib/debian.ts';
import { leaveWith, say, step } from './lib/report.ts';
import { claimFolder } from './lib/running.ts';

/** For developers: the interface with hot reload on PORT, the server restarting on change on the port after it. */
try {
  const port = Number(process.env['PORT'] ?? '4610');
  const demo = !process.argv.includes('--empty');
  const folder = dataFolder(demo);
  const release = claimFolder(folder);
  await ensureInstalled(MARIADB);
  const place = databaseFolder(folder);
  const database = await step(`Starting the database in ${place}`, () => startDatabase(place));
  const server = spawn(path.join('node_modules', '.bin', 'tsx'), ['watch', 'server/main.ts'], {
    stdio: 'inherit',
    env: {
      ...process.env,
      DATABASE_URL: database.url,
      PORT: String(port + 1),
      JOLLY_DEMO: demo ? '1' : '0',
    },
  });
  const web = await createServer({
    server: {
      host: '127.0.0.1',
      port,
      strictPort: true,
      // The server compares the origin of a change with its own address.
      proxy: { '/api': { target: `http://127.0.0.1:${String(port + 1)}`, changeOrigin: false } },
    },
  });
  await web.listen();
  say(`Open http://127.0.0.1:${String(port)}; Ctrl-C stops it`);
  const stop = () => {
    void (async () => {
      server.kill('SIGTERM');
      await web.close();
      await database.stop();
      release();
      process.exit(0);
    })();
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
} catch (error) {
  leaveWith(error);
}
