import { runCompiled } from './lib/compiled.ts';

await runCompiled('bench', {
  main: 'bench/main.ts',
  cloudWorker: 'bench/cloudWorker.ts',
  orderWorker: 'bench/orderWorker.ts',
});
