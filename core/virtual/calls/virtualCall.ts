import { BREAK_KIND, type CallKind, type Difficulty } from '../../judgement/kinds.ts';
import { directionTo } from '../../judgement/kickQuestion.ts';
import { pathAfterHit } from '../../judgement/pose/path.ts';
import { windowOf } from '../../judgement/pose/window.ts';
import type { CallAnswer, CallQuestion } from '../../judgement/question.ts';
import { toRadians } from '../../math/angle.ts';
import { contactDistance } from '../../motion/ballBall.ts';
import { distance, type Point } from '../../math/point.ts';
import type { Shot } from '../../motion/shot.ts';
import { aimPointOf } from '../../shot/kicks/aimPoint.ts';
import { solvePlant } from '../../shot/plants.ts';
import { POCKET_NAMES } from '../../table/pockets.ts';
import { pocketAfter } from '../breaks/poseBreak.ts';
import { callPlan } from './callPlan.ts';
import { imagined, imaginedShare, meetsFirst, staysOn, type Caller } from './imagined.ts';

/**
 * Questions that virtual players call. What an error to either side costs, and whether a pot is worth its risk, they work
 * out as exactly at every level: these say nothing of a level.
 */
export const LEVEL_KINDS = [
  'in-off or not',
  'does it pass',
  'draw the path',
  'how long is the window',
  'which side of the plant',
  'which ball first',
  'which suit',
  'key ball',
  'whole order',
  'where to be',
  'which line',
  'where on the cushion',
  BREAK_KIND,
] as const satisfies readonly CallKind[];
export type LevelKind = (typeof LEVEL_KINDS)[number];
export type LevelQuestion = Extract<CallQuestion, { readonly kind: LevelKind }>;

/** Directions that are gone through in the mind on either side of a kick's line, and how far apart they are. */
const TRIED = 6;
const TRIED_STEP = toRadians(0.5);
/** Balls that touch are so far apart, metres. */
const TOUCHING = 1e-6;
/** Points of a way that is drawn. */
const MOST_POINTS = 40;
/** Breaks that are gone through. */
const BREAKS = 6;

/** What happens more often than not; where it is known that positions are close, that it is too close. */
function verdict(share: number, difficulty: Difficulty): CallAnswer {
  const isMixed = share > 0 && share < 1;
  if (isMixed && difficulty === 'hair-fine') return { kind: 'verdict', verdict: 'too close' };
  return { kind: 'verdict', verdict: share > 0.5 ? 'yes' : 'no' };
}

const turned = (shot: Shot, by: number): Shot => ({
  ...shot,
  strike: { ...shot.strike, direction: shot.strike.direction + by },
});

/** A way as it is drawn with few points, its ends among them; one that does not move is drawn as a dot. */
function drawn(points: readonly Point[]): readonly Point[] {
  const every = Math.ceil(points.length / MOST_POINTS);
  const few = points.filter((_, i) => i % every === 0 || i === points.length - 1);
  return few.length === 1 ? [...few, ...few] : few;
}

/** The middle of the directions that meet the ball when each is gone through once. */
function cushionCall(
  caller: Caller,
  { shot, target, truth }: LevelQuestion & { kind: 'where on the cushion' },
): CallAnswer {
  const { table, balls, strike } = shot;
  const ways = Array.from({ length: 2 * TRIED + 1 }, (_, i) => (i - TRIED) * TRIED_STEP);
  const met = ways.filter(
    (by) =>
      imaginedShare(caller, turned(shot, by), (result) => meetsFirst(result, strike.ball, target), 1) > 0,
  );
  const middle =
    met[Math.floor(met.length / 2)] ?? ways[Math.floor(caller.random.uniform() * ways.length)] ?? 0;
  const direction = directionTo(shot, truth.at) + middle;
  return { kind: 'place', at: aimPointOf({ table, balls, cue: strike.ball }, direction).at };
}

/** The side by which a plant goes when its first ball is seen as far off as this player's line is. */
function plantCall(
  caller: Caller,
  { shot, pot, pocket, first }: LevelQuestion & { kind: 'which side of the plant' },
): CallAnswer {
  const { table, balls, strike } = shot;
  const [cue, one, two] = [strike.ball, first, pot].map((id) => balls.find((ball) => ball.id === id));
  if (cue === undefined || one === undefined || two === undefined)
    throw new RangeError('plantCall: a ball is missing');
  const off = distance(cue, one) * toRadians(caller.error.directionDeg);
  const x = one.x + off * caller.random.normal() - two.x;
  const y = one.y + off * caller.random.normal() - two.y;
  // Nobody sees balls in each other: those that touch are seen to touch, and turned.
  const apart = Math.max(1, (contactDistance(one.radius, two.radius) + TOUCHING) / Math.hypot(x, y));
  const seen = { ...one, x: two.x + apart * x, y: two.y + apart * y };
  const others = balls.filter((ball) => ball !== cue && ball !== one && ball !== two);
  const way = solvePlant({ table, cue, first: seen, second: two, pocket, others }, strike);
  const guess = caller.random.uniform() < 0.5 ? 'left' : 'right';
  return { kind: 'side', side: way?.side ?? guess };
}

/**
 * How a virtual player answers a question: they go through the stroke in their mind a few times, as far off as their own
 * strokes are, and say what they see most; of clearances they say what their own plan does.
 * @param difficulty as it was asked for: whoever asks for hair-fine positions knows that they may be too close
 */
export function virtualCall(caller: Caller, question: LevelQuestion, difficulty: Difficulty): CallAnswer {
  const { shot } = question;
  const cue = shot.strike.ball;
  switch (question.kind) {
    case 'in-off or not':
      return verdict(
        imaginedShare(caller, shot, (result) => !staysOn(result, cue)),
        difficulty,
      );
    case 'does it pass': {
      const { obstacle } = question;
      const touches = (event: { readonly kind: string; readonly ids?: readonly string[] }) =>
        event.kind === 'ball-ball' && event.ids?.includes(cue) === true && event.ids.includes(obstacle.id);
      const passes = imaginedShare(caller, shot, ({ events }) => !events.some(touches));
      return verdict(passes, difficulty);
    }
    case 'draw the path':
      return { kind: 'path', points: drawn(pathAfterHit(imagined(caller, shot))) };
    case 'how long is the window': {
      const { pot, pocket, next, nextPocket } = question;
      const seen = windowOf({ shot: imagined(caller, shot), pot, pocket }, next, nextPocket);
      return { kind: 'length', metres: seen?.kind === 'how long is the window' ? seen.truth : 0 };
    }
    case 'which side of the plant':
      return plantCall(caller, question);
    case 'which line': {
      const seen = question.lines.map(({ pick, direction }) => ({
        pick,
        share:
          imaginedShare(caller, { ...shot, strike: { ...shot.strike, direction } }, (result) =>
            meetsFirst(result, cue, question.target),
          ) +
          0.01 * caller.random.uniform(),
      }));
      const best = seen.reduce((a, b) => (b.share > a.share ? b : a));
      return { kind: 'pick', pick: best.pick };
    }
    case 'where on the cushion':
      return cushionCall(caller, question);
    case 'what will be on': {
      const kind = shot.table.preset.markings === 'baulk' ? 'eight on the spot' : 'nine';
      const times = new Map<string, number>(POCKET_NAMES.map((name) => [name, caller.random.uniform()]));
      for (let k = 0; k < BREAKS; k++) {
        const pocket = pocketAfter(imagined(caller, shot), kind);
        if (pocket !== undefined && pocket !== 'nothing on') times.set(pocket, (times.get(pocket) ?? 0) + 1);
      }
      const [most] = [...times].sort((a, b) => b[1] - a[1]);
      return { kind: 'pick', pick: most?.[0] ?? POCKET_NAMES[0] };
    }
    case 'which ball first':
    case 'which suit':
    case 'key ball':
    case 'whole order':
    case 'where to be':
      return callPlan(caller, question);
  }
}
