import { distance } from '../core/math/point.ts';
import { errorAsCued } from '../core/player/asCued.ts';
import { drawErrors } from '../core/player/execute.ts';
import { executionErrorOf } from '../core/player/levels.ts';
import { createRandom } from '../core/random/random.ts';
import { ON_PLAN, strokeCloud } from '../core/scoring/attribution.ts';
import { causeEvidence, causeShares, type CauseEvidence } from '../core/scoring/causeShares.ts';
import { endOf, errorThatDidMost, markedAt, libraryStroke } from './astray.ts';
import { atLeast, told, within, type Asked, type Figure } from './figure.ts';

const DRILLS = [
  'harbour-turn',
  'slipway',
  'anchor-drop',
  'long-pier',
  'along-the-rail',
  'back-to-the-quay',
  'dead-slow',
];
const LEVELS = ['regular', 'team', 'match'] as const;
/** Shots that are seen, and shots by which the player's real shares are known. */
const SEEN = 60;
const KNOWN_BY = 400;
/** One error of a player is so much larger or smaller than that of the level that is assumed. */
const TWISTS = [1, 1.6, 0.65] as const;

/** Shares of causes over many shots, of players one of whose errors is not that of the level that is assumed of them. */
export function shares({ seed, size }: Asked): readonly Figure[] {
  const random = createRandom(seed);
  let [inside, asked, off, wide] = [0, 0, 0, 0];
  for (const slug of DRILLS.slice(0, Math.max(2, Math.round(DRILLS.length * size)))) {
    const { shot, task } = libraryStroke(slug);
    for (const level of LEVELS) {
      const assumed = executionErrorOf(level, shot.table.preset.game);
      const cloud = strokeCloud(shot, task, assumed);
      for (const twist of TWISTS) {
        const part = (['speed', 'directionDeg', 'tip'] as const)[Math.floor(3 * random.uniform())] ?? 'speed';
        const own = errorAsCued(shot, { ...assumed, [part]: twist * assumed[part] });
        const counts = new Map<string, number>();
        const evidence: CauseEvidence[] = [];
        let astray = 0;
        for (let k = 0; k < KNOWN_BY; k++) {
          const draws = drawErrors(random);
          const { at, potted } = endOf(shot, task, own, draws);
          const { planned } = cloud;
          if (at === undefined || (potted && distance(at, planned) <= ON_PLAN)) continue;
          astray++;
          const error = errorThatDidMost(shot, task, own, draws, { planned, potted }) ?? 'none';
          counts.set(error, (counts.get(error) ?? 0) + 1);
          if (k >= SEEN) continue;
          const said = causeEvidence(cloud, markedAt(at, random), potted);
          if (said !== undefined) evidence.push(said);
        }
        for (const { error, share, low, high } of causeShares(evidence) ?? []) {
          const truth = (counts.get(error) ?? 0) / astray;
          asked++;
          if (truth >= low && truth <= high) inside++;
          off += share - truth;
          wide += high - low;
        }
      }
    }
  }
  return [
    atLeast('shares.inside', (100 * inside) / asked, 84, '% of shares inside their interval'),
    within('shares.bias', (100 * off) / asked, [-2, 2], 'points, mean'),
    told('shares.wide', (100 * wide) / asked, 'points between the ends of an interval, mean'),
  ];
}
