import { runCompiled } from './lib/compiled.ts';

await runCompiled('truth', { main: 'truth/main.ts' });
