/** The deepest record is a drill; what is nested deeper is nobody's. */
const DEEPEST = 24;

/** What is wrong with a value, and where. */
export interface NotPlain {
  readonly path: string;
  readonly what: string;
}

/** Names that every object of JavaScript has: a schema would take them for fields of its own. */
const isInherited = (key: string): boolean => key in Object.prototype;

/**
 * Whether a value that was read from JSON is one that a schema can look at: not nested deeper than any record is, and
 * without names like "constructor" or "toString".
 * @param value as JSON.parse gives it
 * @returns undefined when it is; else the first place that is not
 */
export function notPlain(value: unknown, path = '', depth = 0): NotPlain | undefined {
  if (typeof value !== 'object' || value === null) return undefined;
  if (depth > DEEPEST) return { path, what: `is nested deeper than ${DEEPEST} levels` };
  for (const [key, inner] of Object.entries(value)) {
    const here = path === '' ? key : `${path}.${key}`;
    if (isInherited(key)) return { path: here, what: 'is not a field that anything here has' };
    const found = notPlain(inner, here, depth + 1);
    if (found !== undefined) return found;
  }
  return undefined;
}
