/**
 * Does the same with each of some things, a few at a time, so that one request never takes all connections.
 * @returns what came of each, in their order
 */
export async function inLanes<T, R>(
  things: readonly T[],
  lanes: number,
  work: (thing: T) => Promise<R>,
): Promise<R[]> {
  const done: R[] = [];
  let next = 0;
  const lane = async () => {
    while (next < things.length) {
      const at = next++;
      const thing = things[at];
      if (thing !== undefined) done[at] = await work(thing);
    }
  };
  await Promise.all(Array.from({ length: Math.min(lanes, things.length) }, lane));
  return done;
}
