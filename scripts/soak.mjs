import { run } from './bootstrap.mjs';

await run('soak.ts');
