/** One line a step; a step that takes long says every few seconds that it is alive. */
const HEARTBEAT_MS = 5_000;

export function say(line: string): void {
  console.log(`· ${line}`);
}

export async function step<T>(line: string, work: () => Promise<T>): Promise<T> {
  say(`${line} …`);
  const started = Date.now();
  const beat = setInterval(() => {
    console.log(`  still at it, ${String(Math.round((Date.now() - started) / 1000))} s`);
  }, HEARTBEAT_MS);
  try {
    return await work();
  } finally {
    clearInterval(beat);
  }
}

/** A failure whose message is a sentence for the person who started the program. */
export class StartError extends Error {
  override name = 'StartError';
}

/** Prints a StartError as its sentence, anything else with its stack, and ends the process with exit code 1. */
export function leaveWith(error: unknown): never {
  if (error instanceof StartError) console.error(`\n${error.message}`);
  else console.error(error);
  process.exit(1);
}
