import { readFileSync } from 'node:fs';
import { planShot } from '../core/drill/plannedShot.ts';
import { isPositionDrill } from '../core/drill/positionDrill.ts';
import { distance } from '../core/math/point.ts';
import { simulate } from '../core/motion/simulate.ts';
import { errorAsCued } from '../core/player/asCued.ts';
import { drawErrors, executedWith, type Draws } from '../core/player/execute.ts';
import { executionErrorOf } from '../core/player/levels.ts';
import { createRandom } from '../core/random/random.ts';
import { drillSchema } from '../core/records/drill.ts';
import { ON_PLAN, STROKE_ERRORS, strokeCloud } from '../core/scoring/attribution.ts';
import { causeEvidence, causeShares, type CauseEvidence } from '../core/scoring/causeShares.ts';
import { isOnTable, outcomeOfShot } from '../core/shot/outcome.ts';
import { buildTable } from '../core/table/table.ts';
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
/** What a mark by finger is off, metres. */
const MARK = 0.01;
/** One error of a player is so much larger or smaller than that of the level that is assumed. */
const TWISTS = [1, 1.6, 0.65] as const;
const NONE: Draws = { line: 0, pace: 0, side: 0, height: 0, elevation: 0 };
const ALL = [...STROKE_ERRORS, 'elevation'] as const;

/** Shares of causes over many shots, of players one of whose errors is not that of the level that is assumed of them. */
export function causeMixtures({ seed, size }: Asked): readonly Figure[] {
  const random = createRandom(seed);
  let [inside, asked, off, wide] = [0, 0, 0, 0];
  for (const slug of DRILLS.slice(0, Math.max(2, Math.round(DRILLS.length * size)))) {
    const text: unknown = JSON.parse(readFileSync(`library/${slug}.drill.json`, 'utf8'));
    const drill = drillSchema.validateSync(text);
    if (!isPositionDrill(drill)) throw new Error(`${slug} is not a position drill`);
    const { shot } = planShot(drill, buildTable(drill.table));
    const task = { object: drill.task.pot, pocket: drill.task.pocket };
    for (const level of LEVELS) {
      const assumed = executionErrorOf(level, shot.table.preset.game);
      const cloud = strokeCloud(shot, task, assumed);
      for (const twist of TWISTS) {
        const part = (['speed', 'directionDeg', 'tip'] as const)[Math.floor(3 * random.uniform())] ?? 'speed';
        const own = errorAsCued(shot, { ...assumed, [part]: twist * assumed[part] });
        const end = (draws: Draws) => {
          const { rest } = simulate(executedWith(shot, own, draws), { events: false });
          const cue = rest.find(({ id }) => id === shot.strike.ball);
          return {
            at: cue !== undefined && isOnTable(cue) ? cue : undefined,
            potted: outcomeOfShot(rest, shot.strike.ball, task) === 'potted',
          };
        };
        const counts = new Map<string, number>();
        const evidence: CauseEvidence[] = [];
        let astray = 0;
        for (let k = 0; k < KNOWN_BY; k++) {
          const draws = drawErrors(random);
          const { at, potted } = end(draws);
          if (at === undefined || (potted && distance(at, cloud.planned) <= ON_PLAN)) continue;
          astray++;
          const alone = ALL.map((error) => {
            const ending = end({ ...NONE, [error]: draws[error] });
            const away = ending.at === undefined ? 5 : distance(ending.at, cloud.planned);
            return { error, potted: ending.potted, away };
          });
          const missing = potted ? [] : alone.filter((each) => !each.potted);
          const most = alone.reduce((best, each) => (each.away > best.away ? each : best));
          const { error } = missing.length === 1 ? (missing[0] ?? most) : most;
          counts.set(error, (counts.get(error) ?? 0) + 1);
          if (k >= SEEN) continue;
          const mark = { x: at.x + MARK * random.normal(), y: at.y + MARK * random.normal() };
          const said = causeEvidence(cloud, mark, potted);
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
    atLeast('causes.shares.inside', (100 * inside) / asked, 84, '% of shares inside their interval'),
    within('causes.shares.bias', (100 * off) / asked, [-2, 2], 'points, mean'),
    told('causes.shares.wide', (100 * wide) / asked, 'points between the ends of an interval, mean'),
  ];
}
