import { ValidationError } from 'yup';
import type { Logger } from 'pino';

/** Where it is told that a row cannot be read; set once when the server starts. */
let told: Pick<Logger, 'error'> | undefined;

export function tellDamagedTo(log: Pick<Logger, 'error'>): void {
  told = log;
}

/**
 * What a row says; undefined for one that cannot be read: it is left out of a list, told to whoever runs the server, and
 * takes nothing else with it.
 */
export function readable<T>(table: string, id: unknown, read: () => T): T | undefined {
  try {
    return read();
  } catch (error) {
    // A JSON text that was cut off, a document that breaks its schema, a day that there is not.
    const damaged =
      error instanceof ValidationError ||
      error instanceof SyntaxError ||
      error instanceof TypeError ||
      error instanceof RangeError;
    if (!damaged) throw error;
    told?.error({ table, id, err: error }, 'a row cannot be read and is left out');
    return undefined;
  }
}
