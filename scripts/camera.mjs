import { run } from './bootstrap.mjs';

await run('camera.ts');
