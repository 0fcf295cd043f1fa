import type { ListedDrill } from '../../core/records/listedDrill.ts';

/** Why a drill is suggested for the next round. */
export type Reason = 'planned' | 'played last' | 'proposed' | 'favourite';

/** A drill that is likely the next one. */
export interface Suggestion {
  readonly entry: ListedDrill;
  readonly reason: Reason;
  /** Undefined where the page decides: the one the player is at, or the first. */
  readonly stage: number | undefined;
}

/** A drill, as some list has it. */
export interface Named {
  readonly drill: string;
  readonly stage?: number;
}

/** What lists say of a player, each with the best first. */
export interface Known {
  /** Of this week's programme. */
  readonly planned: readonly Named[];
  /** The newest first. */
  readonly played: readonly Named[];
  readonly proposed: readonly Named[];
}

/** Of each reason so many. */
const EACH = 3;

/**
 * The drills that are likely the next ones, each once, with the reason that says most: the week's plan before what was
 * played, proposals, and favourites.
 */
export function suggestions(
  drills: readonly ListedDrill[],
  { planned, played, proposed }: Known,
): readonly Suggestion[] {
  const seen = new Set<string>();
  const some = (reason: Reason, named: readonly Named[]) => {
    const own: Suggestion[] = [];
    for (const { drill, stage } of named) {
      const entry = drills.find(({ document }) => document.slug === drill);
      if (entry === undefined || seen.has(drill) || own.length === EACH) continue;
      seen.add(drill);
      own.push({ entry, reason, stage });
    }
    return own;
  };
  const favourites = drills.filter(({ favourite }) => favourite);
  return [
    ...some('planned', planned),
    // A round played again goes on at the stage that the page finds.
    ...some(
      'played last',
      played.map(({ drill }) => ({ drill })),
    ),
    ...some('proposed', proposed),
    ...some(
      'favourite',
      favourites.map(({ document }) => ({ drill: document.slug })),
    ),
  ];
}
