import { readFileSync } from 'node:fs';
import { planShot } from '../core/drill/plannedShot.ts';
import { isPositionDrill } from '../core/drill/positionDrill.ts';
import { atStage } from '../core/drill/stage.ts';
import { landingCloud } from '../core/planning/cloud.ts';
import { errorAsCued } from '../core/player/asCued.ts';
import { executionErrorAt } from '../core/player/levels.ts';
import { createRandom, type Random } from '../core/random/random.ts';
import { drillSchema } from '../core/records/drill.ts';
import { benchmarkDrill } from '../core/scoring/benchmark.ts';
import { ChanceTables, rateRounds, type RatedRound } from '../core/scoring/rating.ts';
import { zonePoints } from '../core/scoring/zonePoints.ts';
import type { Distribution } from '../core/statistics/distribution.ts';
import { buildTable } from '../core/table/table.ts';
import { atLeast, told, within, type Asked, type Figure } from './figure.ts';

const DAYS = 120;
const SHOTS = 10;
const STEP = 4;
const STATIONS: readonly (readonly [slug: string, stage: number])[] = [
  ['harbour-turn', 2],
  ['anchor-drop', 2],
  ['back-to-the-quay', 2],
  ['long-pier', 1],
];

interface Station {
  readonly levels: readonly Distribution[];
  /** Points of single shots, played out by players at ratings from 0 to 100. */
  readonly shots: readonly (readonly number[])[];
}

function station(slug: string, stage: number, seed: number): Station {
  const text: unknown = JSON.parse(readFileSync(`library/${slug}.drill.json`, 'utf8'));
  const drill = atStage(drillSchema.validateSync(text), stage);
  const set = drill.stages[stage - 1];
  if (!isPositionDrill(drill) || set === undefined) throw new Error(`${slug} is not a position drill`);
  const plan = planShot(drill, buildTable(drill.table));
  const task = { object: drill.task.pot, pocket: drill.task.pocket };
  const shots = Array.from({ length: 100 / STEP + 1 }, (_, i) => {
    const error = errorAsCued(plan.shot, executionErrorAt(i * STEP, plan.shot.table.preset.game));
    return landingCloud(plan.shot, task, error, 1_000, seed + i).map(({ outcome, landing }) =>
      zonePoints(outcome, landing, plan.window, set.bands),
    );
  });
  return { levels: benchmarkDrill(drill, set, plan, seed).levels.map(({ round }) => round), shots };
}

function pick<T>(values: readonly T[], random: Random): T {
  const value = values[Math.floor(random.uniform() * values.length)];
  if (value === undefined) throw new Error('nothing to pick');
  return value;
}

/** A round of a player whose form that day is what it is. */
function playedAt({ levels, shots }: Station, rating: number, day: number, random: Random): RatedRound {
  const at = Math.min(100, Math.max(0, rating)) / STEP;
  // Between two ratings either, by how near it is.
  const below = Math.floor(at);
  let score = 0;
  for (let shot = 0; shot < SHOTS; shot++) {
    const own = shots[random.uniform() < at - below ? below + 1 : below] ?? shots[below] ?? [];
    score += pick(own, random);
  }
  return { day, score, levels };
}

interface Career {
  readonly name: string;
  /** Where the player is on the last day. */
  readonly end: (random: Random) => number;
  /** Points that the player rises over the time. */
  readonly rise: number;
  readonly form: number;
}

const middle = (random: Random) => 14 + 72 * random.uniform();
const after = (rise: number) => (random: Random) => 14 + rise + (72 - rise) * random.uniform();

const CAREERS: readonly Career[] = [
  { name: 'steady', end: middle, rise: 0, form: 0 },
  { name: 'steady.form', end: middle, rise: 0, form: 8 },
  { name: 'rise-10', end: after(10), rise: 10, form: 0 },
  { name: 'rise-20', end: after(20), rise: 20, form: 0 },
  { name: 'rise-10.form', end: after(10), rise: 10, form: 8 },
  { name: 'fall-10', end: (random) => 14 + 62 * random.uniform(), rise: -10, form: 0 },
  { name: 'lowest', end: () => 0, rise: 0, form: 0 },
  { name: 'highest', end: () => 100, rise: 0, form: 0 },
];

/** How often the 90 % interval of a rating holds the level of a player who is known, and how wide it is. */
export function ratings({ seed, size }: Asked): readonly Figure[] {
  const stations = STATIONS.map(([slug, stage], i) => station(slug, stage, seed + 1000 * i));
  const tables = new ChanceTables();
  const careers = Math.round(600 * size);
  return CAREERS.flatMap(({ name, end, rise, form }, c) => {
    const random = createRandom(seed + c);
    let [inside, width] = [0, 0];
    for (let player = 0; player < careers; player++) {
      const last = end(random);
      const mix = stations.filter((_, i) => i === player % 4 || random.uniform() < 0.5);
      // From a round a week to one every second day, some days with more than one.
      const days = Array.from({ length: 16 + Math.floor(44 * random.uniform()) }, () =>
        Math.floor(DAYS * random.uniform()),
      );
      const forms = new Map(days.map((day) => [day, form * random.normal()]));
      const rounds = days.map((day) => {
        const at = last - (rise * (DAYS - day)) / DAYS + (forms.get(day) ?? 0);
        return playedAt(pick(mix, random), at, day, random);
      });
      const rating = rateRounds(rounds, DAYS, tables);
      if (rating === undefined) continue;
      if (rating.low <= last && last <= rating.high) inside++;
      width += (rating.high - rating.low) / careers;
    }
    const share = (100 * inside) / careers;
    const held = name.startsWith('steady')
      ? within(`ratings.${name}`, share, [86, 94], '% inside')
      : atLeast(`ratings.${name}`, share, 84, '% inside');
    return [held, told(`ratings.${name}.width`, width, 'points')];
  });
}
