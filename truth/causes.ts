import { readFileSync } from 'node:fs';
import { planShot } from '../core/drill/plannedShot.ts';
import { isPositionDrill } from '../core/drill/positionDrill.ts';
import { distance } from '../core/math/point.ts';
import { simulate } from '../core/motion/simulate.ts';
import { drawErrors, executedWith, type Draws } from '../core/player/execute.ts';
import { errorAsCued } from '../core/player/asCued.ts';
import { executionErrorOf } from '../core/player/levels.ts';
import { createRandom } from '../core/random/random.ts';
import { drillSchema } from '../core/records/drill.ts';
import { attribute, STROKE_ERRORS, strokeCloud, type StrokeError } from '../core/scoring/attribution.ts';
import { isOnTable, outcomeOfShot } from '../core/shot/outcome.ts';
import { buildTable } from '../core/table/table.ts';
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
/** What a mark by finger is off, metres. */
const MARK = 0.01;
/** Classes with fewer answers than this say nothing. */
const FEWEST = 25;
const NONE: Draws = { line: 0, pace: 0, side: 0, height: 0, elevation: 0 };

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
    const text: unknown = JSON.parse(readFileSync(`library/${slug}.drill.json`, 'utf8'));
    const drill = drillSchema.validateSync(text);
    if (!isPositionDrill(drill)) throw new Error(`${slug} is not a position drill`);
    const { shot } = planShot(drill, buildTable(drill.table));
    const task = { object: drill.task.pot, pocket: drill.task.pocket };
    for (const level of LEVELS) {
      const sizes = executionErrorOf(level, shot.table.preset.game);
      const cloud = strokeCloud(shot, task, sizes);
      const cued = errorAsCued(shot, sizes);
      const end = (draws: Draws) => {
        const { rest } = simulate(executedWith(shot, cued, draws));
        const cue = rest.find(({ id }) => id === shot.strike.ball);
        return {
          at: cue !== undefined && isOnTable(cue) ? cue : undefined,
          potted: outcomeOfShot(rest, shot.strike.ball, task) === 'potted',
        };
      };
      for (let k = 0; k < SHOTS * size; k++) {
        const draws = drawErrors(random);
        const { at, potted } = end(draws);
        if (at === undefined) continue;
        const mark = { x: at.x + MARK * random.normal(), y: at.y + MARK * random.normal() };
        const answer = attribute(cloud, mark, potted);
        if (answer.kind === 'on plan') continue;
        asked++;
        if (answer.kind !== 'told') continue;
        const alone = ([...STROKE_ERRORS, 'elevation'] as const).map((error) => {
          const ending = end({ ...NONE, [error]: draws[error] });
          return {
            error,
            potted: ending.potted,
            away: ending.at === undefined ? 5 : distance(ending.at, cloud.planned),
          };
        });
        const missing = potted ? [] : alone.filter((each) => !each.potted);
        const most = alone.reduce((best, each) => (each.away > best.away ? each : best));
        const truth = missing.length === 1 ? missing[0] : most;
        const tally = tallies.get(answer.error);
        if (tally === undefined) continue;
        tally.told++;
        if (truth?.error === answer.error) tally.right++;
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
