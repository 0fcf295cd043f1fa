/** A JSON column as the driver gives it: text from MariaDB, an object from servers with a JSON type. */
export function parseJson(column: unknown): unknown {
  if (typeof column !== 'string') return column;
  const value: unknown = JSON.parse(column);
  return value;
}
