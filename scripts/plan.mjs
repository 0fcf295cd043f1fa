import { run } from './bootstrap.mjs';

await run('plan.ts');
