import { run } from './bootstrap.mjs';

await run('demoRounds.ts');
