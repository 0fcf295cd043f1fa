/** A value of JSON. */
type Json = unknown;
type JsonObject = Readonly<Record<string, Json>>;

/** Two changed versions of one document made one again. */
export interface Merged {
  readonly merged: Json;
  /** Where both changed the same thing differently, as "blocks.3.note"; there `merged` has mine. */
  readonly conflicts: readonly string[];
}

function isObject(value: Json): value is JsonObject {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** Whether two values of JSON say the same; the order of an object's fields does not count. */
export function isSameJson(a: Json, b: Json): boolean {
  if (a === b) return true;
  if (Array.isArray(a) && Array.isArray(b)) {
    return a.length === b.length && a.every((each, i) => isSameJson(each, b[i]));
  }
  if (!isObject(a) || !isObject(b)) return false;
  const names = new Set([...Object.keys(a), ...Object.keys(b)]);
  return [...names].every((name) => isSameJson(a[name], b[name]));
}

/** By what a member of a list is known in all versions of it: its id, or, where it is a text, itself. */
function keyOf(member: Json): string | undefined {
  if (typeof member === 'string') return member;
  return isObject(member) && typeof member['id'] === 'string' ? member['id'] : undefined;
}

/** The members by their keys; undefined for a list whose members cannot be told apart. */
function keyed(list: readonly Json[]): Map<string, Json> | undefined {
  const members = new Map<string, Json>();
  for (const member of list) {
    const key = keyOf(member);
    if (key === undefined || members.has(key)) return undefined;
    members.set(key, member);
  }
  return members;
}

/**
 * Merges a document that two people changed from the same base: what one of them left alone is taken from the other,
 * field by field, and in lists member by member where members have an id or are texts.
 * @param base what both began with; @param mine, theirs values of JSON
 */
export function mergeDocuments(base: Json, mine: Json, theirs: Json): Merged {
  return mergeAt('', base, mine, theirs);
}

function mergeAt(path: string, base: Json, mine: Json, theirs: Json): Merged {
  if (isSameJson(mine, theirs) || isSameJson(base, theirs)) return { merged: mine, conflicts: [] };
  if (isSameJson(base, mine)) return { merged: theirs, conflicts: [] };
  if (isObject(base) && isObject(mine) && isObject(theirs)) return mergeObjects(path, base, mine, theirs);
  if (Array.isArray(base) && Array.isArray(mine) && Array.isArray(theirs)) {
    const [from, own, other] = [keyed(base), keyed(mine), keyed(theirs)];
    if (from !== undefined && own !== undefined && other !== undefined) {
      return mergeMembers(path, from, own, other);
    }
  }
  return { merged: mine, conflicts: [path] };
}

function within(path: string, name: string): string {
  return path === '' ? name : `${path}.${name}`;
}

function mergeObjects(path: string, base: JsonObject, mine: JsonObject, theirs: JsonObject): Merged {
  const names = [...new Set([...Object.keys(theirs), ...Object.keys(mine)])];
  const parts = names.map((name) => ({
    name,
    ...mergeAt(within(path, name), base[name], mine[name], theirs[name]),
  }));
  return {
    merged: Object.fromEntries(
      parts.filter(({ merged }) => merged !== undefined).map(({ name, merged }) => [name, merged]),
    ),
    conflicts: parts.flatMap(({ conflicts }) => conflicts),
  };
}

function mergeMembers(
  path: string,
  base: ReadonlyMap<string, Json>,
  mine: ReadonlyMap<string, Json>,
  theirs: ReadonlyMap<string, Json>,
): Merged {
  const conflicts: string[] = [];
  const merged = new Map<string, Json>();
  for (const key of orderOf([...base.keys()], [...mine.keys()], [...theirs.keys()])) {
    const part = mergeAt(within(path, key), base.get(key), mine.get(key), theirs.get(key));
    conflicts.push(...part.conflicts);
    // Taken out by one and changed by the other: it is told, and nothing that was written is thrown away meanwhile.
    const kept = part.merged ?? (part.conflicts.length > 0 ? theirs.get(key) : undefined);
    if (kept !== undefined) merged.set(key, kept);
  }
  return { merged: [...merged.values()], conflicts };
}

/** The order of whoever changed it; theirs, with what I put in after its neighbour, where both did. */
function orderOf(base: readonly string[], mine: readonly string[], theirs: readonly string[]): string[] {
  const inBase = new Set(base);
  const theirOrder = theirs.filter((key) => inBase.has(key));
  const theyMoved = !isSameJson(
    theirOrder,
    base.filter((key) => theirOrder.includes(key)),
  );
  const [first, second] = theyMoved ? [theirs, mine] : [mine, theirs];
  const order = [...first];
  second.forEach((key, i) => {
    if (order.includes(key)) return;
    const before = second.slice(0, i).findLast((each) => order.includes(each));
    order.splice(before === undefined ? 0 : order.indexOf(before) + 1, 0, key);
  });
  return order;
}
