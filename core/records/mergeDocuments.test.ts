import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isSameJson, mergeDocuments } from './mergeDocuments.ts';

const block = (id: string, minutes = 20, note = '') => ({ id, minutes, note });
const lesson = (blocks: readonly object[], more: object = {}) => ({ title: 'Tuesday', blocks, ...more });

const blocks = fc.uniqueArray(
  fc.record({
    id: fc.constantFrom('a', 'b', 'c', 'd', 'e'),
    minutes: fc.nat(3),
    note: fc.constantFrom('', 'x'),
  }),
  { selector: ({ id }) => id, maxLength: 5 },
);
const documents = fc.record({
  title: fc.constantFrom('Tuesday', 'Friday', 'Sunday'),
  players: fc.uniqueArray(fc.constantFrom('ann', 'bea', 'cid')),
  blocks,
});

describe('two versions of a document', () => {
  it('are one where only one of them, or both alike, were changed', () => {
    fc.assert(
      fc.property(documents, documents, (base, changed) => {
        for (const [mine, theirs] of [
          [changed, base],
          [base, changed],
          [changed, changed],
        ] as const) {
          const { merged, conflicts } = mergeDocuments(base, mine, theirs);
          expect(conflicts).toEqual([]);
          expect(isSameJson(merged, changed)).toBe(true);
        }
      }),
    );
  });

  it('lose no block that either of them put in, and keep each that nobody took out', () => {
    fc.assert(
      fc.property(documents, documents, documents, (base, mine, theirs) => {
        const { merged } = mergeDocuments(base, mine, theirs);
        const ids = (from: unknown) => (from as typeof base).blocks.map(({ id }) => id);
        const has = (from: typeof base, id: string) => ids(from).some((each) => each === id);
        for (const id of ['a', 'b', 'c', 'd', 'e']) {
          const wanted = has(base, id) ? has(mine, id) && has(theirs, id) : has(mine, id) || has(theirs, id);
          if (wanted) expect(ids(merged)).toContain(id);
        }
        expect(new Set(ids(merged)).size).toBe(ids(merged).length);
      }),
    );
  });

  it('with different fields changed have both changes', () => {
    const base = lesson([block('a'), block('b')]);
    const { merged, conflicts } = mergeDocuments(
      base,
      lesson([block('a', 20, 'stiff wrist'), block('b')]),
      lesson([block('a', 35), block('b'), block('c')], { title: 'Wednesday' }),
    );
    expect(conflicts).toEqual([]);
    expect(merged).toEqual(
      lesson([block('a', 35, 'stiff wrist'), block('b'), block('c')], { title: 'Wednesday' }),
    );
  });

  it('keep a block put in by one where the other took out its neighbour', () => {
    const base = lesson([block('a'), block('b')]);
    const { merged, conflicts } = mergeDocuments(
      base,
      lesson([block('a'), block('b'), block('c')]),
      lesson([block('a')]),
    );
    expect(conflicts).toEqual([]);
    expect(merged).toEqual(lesson([block('a'), block('c')]));
  });

  it('take the order from whoever moved blocks', () => {
    const base = lesson([block('a'), block('b'), block('c')]);
    const moved = lesson([block('c'), block('a'), block('b')]);
    const longer = lesson([block('a', 5), block('b'), block('c')]);
    expect(mergeDocuments(base, moved, longer).merged).toEqual(
      lesson([block('c'), block('a', 5), block('b')]),
    );
    expect(mergeDocuments(base, longer, moved).merged).toEqual(
      lesson([block('c'), block('a', 5), block('b')]),
    );
  });

  it('say where both changed the same thing differently', () => {
    const base = lesson([block('a')]);
    const note = mergeDocuments(base, lesson([block('a', 20, 'mine')]), lesson([block('a', 20, 'theirs')]));
    expect(note.conflicts).toEqual(['blocks.a.note']);
    const gone = mergeDocuments(base, lesson([]), lesson([block('a', 20, 'theirs')]));
    expect(gone.conflicts).toEqual(['blocks.a']);
    expect(gone.merged).toEqual(lesson([block('a', 20, 'theirs')]));
  });
});
