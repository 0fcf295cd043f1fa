import type { KindProgress } from '../../core/records/progress.ts';

const keyOf = ({ drill, ownDrill, revision, stage, table }: KindProgress) =>
  [drill, ownDrill, revision, stage, table.fingerprint].join('|');

/** The kinds of rounds that both have played: the same text and stage, on tables on which balls run alike. */
export function sharedKinds(
  a: readonly KindProgress[],
  b: readonly KindProgress[],
): readonly (readonly [KindProgress, KindProgress])[] {
  return a.flatMap((kind) => {
    const other = b.find((each) => keyOf(each) === keyOf(kind));
    return other === undefined ? [] : [[kind, other] as const];
  });
}
