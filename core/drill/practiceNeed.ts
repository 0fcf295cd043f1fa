import type { Drill } from '../records/drill.ts';

/** A finished round of a drill. */
export interface PlayedRound {
  readonly drill: string;
  /** Share of the best possible result, 0…1. */
  readonly share: number;
  /** When it was played, ms since 1970. */
  readonly at: number;
}

/** What a player's rounds say of a drill. */
export interface PracticeNeed {
  /** Played before, and so long ago that it should come again. */
  readonly due: boolean;
  /** Neither too easy nor too hard by the player's own rounds. */
  readonly suits: boolean;
  /** When it was last played, ms since 1970, and with which share of the best; undefined when never. */
  readonly last: { readonly at: number; readonly share: number } | undefined;
}

const DAY_MS = 86_400_000;
/** Days after which a drill comes again, by the last share: what goes badly soon, what goes well later. */
const SOON = { below: 0.4, days: 3 };
const LATER = { below: 0.7, days: 7 };
const LATEST_DAYS = 21;
/** Shares between which a drill teaches: below it frustrates, above it bores. */
const TOO_HARD = 0.25;
const TOO_EASY = 0.85;
/** Rounds that say how a drill goes these days. */
const RECENT = 3;
/** A new drill suits whoever makes at least this of the best in a skill that it trains. */
const READY = 0.45;

function restDays(share: number): number {
  if (share < SOON.below) return SOON.days;
  return share < LATER.below ? LATER.days : LATEST_DAYS;
}

const mean = (values: readonly number[]) => values.reduce((sum, each) => sum + each, 0) / values.length;

/**
 * What a player's finished rounds say of each drill. A rule of thumb of spaced practice, not a measurement: its
 * constants stand above.
 * @param rounds of one player, in any order
 * @param now ms since 1970
 * @returns by the drill's slug
 */
export function practiceNeeds(
  drills: readonly Pick<Drill, 'slug' | 'skills'>[],
  rounds: readonly PlayedRound[],
  now: number,
): ReadonlyMap<string, PracticeNeed> {
  const inOrder = [...rounds].sort((a, b) => a.at - b.at);
  const recentOf = (slug: string) => inOrder.filter((round) => round.drill === slug).slice(-RECENT);
  const shareOfSkill = (skill: string) => {
    const shares = drills
      .filter((drill) => drill.skills.some((each) => each === skill))
      .flatMap(({ slug }) => recentOf(slug).map(({ share }) => share));
    return shares.length === 0 ? undefined : mean(shares);
  };
  return new Map(
    drills.map(({ slug, skills }): [string, PracticeNeed] => {
      const recent = recentOf(slug);
      const last = recent.at(-1);
      if (last === undefined) {
        const suits = skills.some((skill) => (shareOfSkill(skill) ?? 0) >= READY);
        return [slug, { due: false, suits, last: undefined }];
      }
      const share = mean(recent.map((round) => round.share));
      return [
        slug,
        {
          due: now - last.at >= restDays(last.share) * DAY_MS,
          suits: share >= TOO_HARD && share <= TOO_EASY,
          last: { at: last.at, share: last.share },
        },
      ];
    }),
  );
}
