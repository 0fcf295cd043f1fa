import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { Piscina } from 'piscina';

type Options = NonNullable<ConstructorParameters<typeof Piscina>[0]>;

interface Worker extends Pick<Options, 'niceIncrement' | 'resourceLimits' | 'maxThreads' | 'idleTimeout'> {
  /** Where it is opened: import.meta.url. */
  readonly from: string;
  /** The worker's file beside it, and its name in the built server, without an ending. */
  readonly source: string;
  readonly built: string;
}

const IDLE_MS = 30_000;

/** A thread for what would keep others waiting, begun when it is first asked; as built or as it stands in the source. */
export function openThread<Task, Answer>({
  from,
  source,
  built,
  maxThreads = 1,
  idleTimeout = IDLE_MS,
  ...options
}: Worker): Piscina<Task, Answer> {
  const here = fileURLToPath(from);
  const isSource = here.endsWith('.ts');
  return new Piscina<Task, Answer>({
    ...options,
    filename: path.join(path.dirname(here), isSource ? `${source}.ts` : `${built}.js`),
    maxThreads,
    minThreads: 0,
    idleTimeout,
    ...(isSource ? { execArgv: ['--import', 'tsx'] } : {}),
  });
}
