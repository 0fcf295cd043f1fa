import { ValidationError } from 'yup';
import type { Logger } from 'pino';

/** Where it is told that a row cannot be read; set once when the server starts. */
let told: Pick<Logger, 'error'> | undefined;

export function tellDamagedTo(log: Pick<Logger, 'error'>): void {
  told = log;
}

/** A row that somebody asked for by its name cannot be read. */
export class DamagedRowError extends Error {
  override name = 'DamagedRowError';

  constructor(what: string, options: ErrorOptions) {
    super(`this ${what} is damaged and cannot be shown; a backup from before has it whole`, options);
  }
}

const isDamage = (error: unknown): boolean =>
  // A JSON text that was cut off, a document that breaks its schema, a day that there is not.
  error instanceof ValidationError ||
  error instanceof SyntaxError ||
  error instanceof TypeError ||
  error instanceof RangeError;

/**
 * What a row says; undefined for one that cannot be read: it is left out of a list, told to whoever runs the server, and
 * takes nothing else with it.
 */
export function readable<T>(table: string, id: unknown, read: () => T): T | undefined {
  try {
    return read();
  } catch (error) {
    if (!isDamage(error)) throw error;
    told?.error({ table, id, err: error }, 'a row cannot be read and is left out');
    return undefined;
  }
}

/** What the rows of a list say that can be read. */
export function readableRows<R extends object, T>(
  table: string,
  rows: readonly R[],
  read: (row: R) => T,
): T[] {
  return rows.flatMap((row) => {
    const value = readable(table, 'id' in row ? row.id : undefined, () => read(row));
    return value === undefined ? [] : [value];
  });
}

/** What one row says. @throws DamagedRowError when it cannot be read */
export function wholeRow<T>(what: string, read: () => T): T {
  try {
    return read();
  } catch (error) {
    throw isDamage(error) ? new DamagedRowError(what, { cause: error }) : error;
  }
}

/** The one of some rows that was read. @throws DamagedRowError when there is a row and it could not be */
export function wholeFirst<T>(what: string, rows: readonly unknown[], read: readonly T[]): T | undefined {
  if (rows.length > 0 && read.length === 0) throw new DamagedRowError(what, {});
  return read[0];
}
