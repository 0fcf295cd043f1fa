import { run } from './bootstrap.mjs';

await run('cluster.ts');
