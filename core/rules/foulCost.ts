import { foulPenalty } from '../counting/breakPoints.ts';

/** The games for which there is a card of rules. */
export const GAMES = ['nine-ball', 'eight-ball', 'small-table eight-ball', 'snooker'] as const;
export type Game = (typeof GAMES)[number];

/** What a foul gives the opponent. */
export type FoulCost =
  | { readonly kind: 'ball in hand' }
  | { readonly kind: 'visits'; readonly visits: number }
  | { readonly kind: 'points'; readonly points: number };

/** The balls of a foul at snooker, by their names; none where no ball was hit, or none was potted. */
export interface SnookerFoul {
  readonly on: string;
  readonly firstHit?: string | undefined;
  readonly potted?: readonly string[] | undefined;
}

/** At the small table a foul gives the opponent this shot and one more. */
const VISITS = 2;

/**
 * What a foul costs by the usual rules of a game; the house rules win.
 * @param foul the balls of a foul at snooker, of no account elsewhere; the least penalty where they are left out
 */
export function foulCost(game: Game, foul: SnookerFoul = { on: 'red' }): FoulCost {
  switch (game) {
    case 'nine-ball':
    case 'eight-ball':
      return { kind: 'ball in hand' };
    case 'small-table eight-ball':
      return { kind: 'visits', visits: VISITS };
    case 'snooker': {
      const balls = [
        foul.on,
        ...(foul.firstHit === undefined ? [] : [foul.firstHit]),
        ...(foul.potted ?? []),
      ];
      return { kind: 'points', points: foulPenalty(balls) };
    }
  }
}
