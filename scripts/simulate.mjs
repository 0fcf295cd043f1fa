import { run } from './bootstrap.mjs';

await run('simulate.ts');
