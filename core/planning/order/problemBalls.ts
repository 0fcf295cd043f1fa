import type { BallOnTable } from '../../motion/shot.ts';
import type { ShotTable } from './shotTable.ts';

/** A ball that is hard to come at as the table lies. */
export interface ProblemBall {
  readonly ball: string;
  /** Share of the places of the cue ball from which it is an easy pot now, 0…1. */
  readonly open: number;
  /** That share with no other ball on the table. */
  readonly alone: number;
  /** Balls that stand in the way, those first that close most places. */
  readonly by: readonly string[];
}

/** A pot that a player counts on. */
const EASY = 0.5;
/** A ball is a problem when it is an easy pot from fewer places than this, or has lost so much of them to others. */
const FEW_PLACES = 0.06;
const LITTLE_LEFT = 0.3;
/** One that closes fewer of the lost places than this is not named. */
const IN_THE_WAY = 0.2;

/** A ball that is an easy pot from so many places is one to play for. */
const MANY_PLACES = 0.3;

/** The balls that lie open, the easiest first: from many places a player can count on them. */
export function openBalls(balls: readonly BallOnTable[], shots: ShotTable): readonly string[] {
  return opennessOf(balls, shots)
    .filter(({ open }) => open >= MANY_PLACES)
    .sort((a, b) => b.open - a.open)
    .map(({ ball }) => ball);
}

/**
 * The balls that are hard to come at, the hardest first: far from every pocket's way, or closed by others.
 * @param balls object balls, in the shot table's order
 */
export function problemBalls(balls: readonly BallOnTable[], shots: ShotTable): readonly ProblemBall[] {
  return opennessOf(balls, shots)
    .filter((each) => each.open < FEW_PLACES || each.open < LITTLE_LEFT * each.alone)
    .sort((a, b) => a.open - b.open);
}

/** From how many places each ball is an easy pot, and what is in the way from others. */
function opennessOf(balls: readonly BallOnTable[], shots: ShotTable): readonly ProblemBall[] {
  const { grid, first, ball, chance, hindered } = shots;
  const places = grid.chances.length;
  const open = balls.map(() => 0);
  const alone = balls.map(() => 0);
  const closed = balls.map(() => balls.map(() => 0));
  for (let g = 0; g < places; g++) {
    /** Of each ball what is in the way of its easy pots from here; undefined where it has none. */
    const ways = balls.map((): number[] | undefined => undefined);
    for (let s = first[g]!; s < first[g + 1]!; s++) {
      if (chance[s]! >= EASY) (ways[ball[s]!] ??= []).push(hindered[s]!);
    }
    for (const [b, own] of ways.entries()) {
      if (own === undefined) continue;
      alone[b]!++;
      if (own.includes(0)) {
        open[b]!++;
        continue;
      }
      const inAll = own.reduce((bits, each) => bits | each, 0);
      for (const other of balls.keys()) if ((inAll & (1 << other)) !== 0) closed[b]![other]!++;
    }
  }
  return balls.map(({ id }, b): ProblemBall => {
    const lost = alone[b]! - open[b]!;
    const by = [...balls.keys()]
      .filter((other) => closed[b]![other]! > IN_THE_WAY * lost)
      .sort((a, c) => closed[b]![c]! - closed[b]![a]!)
      .map((other) => balls[other]!.id);
    return { ball: id, open: open[b]! / places, alone: alone[b]! / places, by: lost > 0 ? by : [] };
  });
}
