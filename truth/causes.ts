import { drawErrors } from '../core/player/execute.ts';
import { errorAsCued } from '../core/player/asCued.ts';
import { executionErrorOf } from '../core/player/levels.ts';
import { createRandom } from '../core/random/random.ts';
import { attribute, STROKE_ERRORS, strokeCloud, type StrokeError } from '../core/scoring/attribution.ts';
import { endOf, errorThatDidMost, markedAt, libraryStroke } from './astray.ts';
import { atLeast, atMost, told, type Asked, type Figure } from './figure.ts';

const DRILLS = [
  'harbour-turn',
  'slipway',
  'anchor-drop',
  'short-drawbridge',
  'long-pier',
  'round-to-the-blue',
  'along-the-rail',
  'dead-slow',
  'three-rails-round',
  'back-to-the-quay',
];
const LEVELS = ['regular', 'team', 'match'] as const;
const SHOTS = 200;
/** Classes with fewer answers than this say nothing. */
const FEWEST = 25;

interface Tally {
  told: number;
  right: number;
}

/**
 * Why a shot went astray, asked of strokes with all errors at their real size: right is the error that did most, found by
 * playing each error alone.
 */
export function causes({ seed, size }: Asked): readonly Figure[] {
  const random = createRandom(seed);
  const tallies = new Map(STROKE_ERRORS.map((error): [StrokeError, Tally] => [error, { told: 0, right: 0 }]));
  let [asked, claimed] = [0, 0];
  for (const slug of DRILLS) {
    const { shot, task } = libraryStroke(slug);
    for (const level of LEVELS) {
      const sizes = executionErrorOf(level, shot.table.preset.game);
      const cloud = strokeCloud(shot, task, sizes);
      const cued = errorAsCued(shot, sizes);
      for (let k = 0; k < SHOTS * size; k++) {
        const draws = drawErrors(random);
        const { at, potted } = endOf(shot, task, cued, draws);
        if (at === undefined) continue;
        const answer = attribute(cloud, markedAt(at, random), potted);
        if (answer.kind === 'on plan') continue;
        asked++;
        if (answer.kind !== 'told') continue;
        const tally = tallies.get(answer.error);
        if (tally === undefined) continue;
        tally.told++;
        const { planned } = cloud;
        if (errorThatDidMost(shot, task, cued, draws, { planned, potted }) === answer.error) tally.right++;
        claimed += answer.probability;
      }
    }
  }
  const all = [...tallies.values()];
  const answers = all.reduce((sum, tally) => sum + tally.told, 0);
  const right = all.reduce((sum, tally) => sum + tally.right, 0);
  const share = (part: number, whole: number) => (whole === 0 ? 0 : (100 * part) / whole);
  return [
    ...[...tallies].map(([error, tally]) =>
      tally.told < FEWEST * size
        ? told(`causes.${error}`, tally.told, 'answers only')
        : atLeast(`causes.${error}`, share(tally.right, tally.told), 80, '% right of what is told'),
    ),
    atMost(
      'causes.calibration',
      Math.abs(share(claimed, answers) - share(right, answers)),
      5,
      '% claimed too much or too little',
    ),
    told('causes.told', share(answers, asked), '% of strokes off the plan'),
  ];
}
