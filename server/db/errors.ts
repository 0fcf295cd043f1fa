/** What a refusal of the database means for whoever asked it. */
export type DatabaseTrouble =
  /** Another transaction was in the way: the same may be tried again at once. */
  | 'conflict'
  /** The node is gone, or not ready to serve: another may be asked. */
  | 'gone'
  /** The statement took too long, or there is no free connection. */
  | 'busy'
  /** A row refers to something that is not there. */
  | 'reference'
  /** A value does not fit its column. */
  | 'value';

/** Deadlock, lock timeout, a row changed since it was read; Galera tells a lost certification as a deadlock. */
const CONFLICT: readonly number[] = [1213, 1205, 1020];
/** A Galera node outside the primary component, a server that shuts down, a connection that was killed. */
const NODE_GONE: readonly number[] = [1047, 1053, 1927, 1152, 1158, 1159, 1160, 1161, 4031];
const BUSY: readonly number[] = [1969, 3024, 1040, 1203, 1226];
const REFERENCE: readonly number[] = [1451, 1452];
/** Wrong or too long values, and texts that the column's character set does not have. */
const VALUE: readonly number[] = [1048, 1264, 1265, 1267, 1271, 1292, 1366, 1406, 1411, 3140, 4025];

const SOCKET_GONE: readonly string[] = [
  'PROTOCOL_CONNECTION_LOST',
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'EHOSTUNREACH',
  'ENETUNREACH',
  'ENOTFOUND',
  'EAI_AGAIN',
  'POOL_CLOSED',
];

/** What went wrong at the database; undefined for an error that is not its, or is a fault of the program. */
export function troubleOf(error: unknown): DatabaseTrouble | undefined {
  if (!(error instanceof Error)) return undefined;
  const number = 'errno' in error ? Number(error.errno) : undefined;
  const code = 'code' in error ? String(error.code) : '';
  if (number !== undefined) {
    if (CONFLICT.includes(number)) return 'conflict';
    if (NODE_GONE.includes(number)) return 'gone';
    if (BUSY.includes(number)) return 'busy';
    if (REFERENCE.includes(number)) return 'reference';
    if (VALUE.includes(number)) return 'value';
  }
  if (SOCKET_GONE.includes(code)) return 'gone';
  // The driver has no code for a command to a connection that was closed under it.
  return /connection is in closed state|Connection lost|Pool is closed/i.test(error.message)
    ? 'gone'
    : undefined;
}

/** True for the refusal of a row whose unique key is already there. */
export function isDuplicate(error: unknown): boolean {
  return error instanceof Error && 'code' in error && error.code === 'ER_DUP_ENTRY';
}
