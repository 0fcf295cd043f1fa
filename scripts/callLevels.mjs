import { run } from './bootstrap.mjs';

await run('callLevels.ts');
