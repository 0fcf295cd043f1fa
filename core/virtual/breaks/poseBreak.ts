import type { BreakCallQuestion } from '../../judgement/breakQuestion.ts';
import { BREAK_KIND, isAsHard, type Difficulty, type DifficultyRanges } from '../../judgement/kinds.ts';
import { CUE_BALL } from '../../drill/layout.ts';
import type { Shot } from '../../motion/shot.ts';
import { simulate } from '../../motion/simulate.ts';
import { leftOnTable } from '../../planning/aftermath.ts';
import { potLines, potOptions } from '../../planning/potOptions.ts';
import { executionErrorOf } from '../../player/levels.ts';
import { drawnRack } from '../../rack/drawnRack.ts';
import type { RackKind } from '../../rack/rack.ts';
import { RACK_QUALITIES } from '../../rack/rackers.ts';
import { createRandom, type Random } from '../../random/random.ts';
import { acceptanceAbout } from '../../shot/acceptanceNear.ts';
import { ballLost } from '../../shot/outcome.ts';
import { clothLinesOf } from '../../table/markings.ts';
import type { PocketName } from '../../table/pockets.ts';
import type { Table } from '../../table/table.ts';
import { onAfterBreak } from '../breakGrades.ts';
import { breakShot, type BreakStroke } from './breakShot.ts';
import { drawnBreak, type BreakQuestion } from './breakStudy.ts';

/** Who breaks, and on what. */
const LEVEL = 'team';
const QUALITY = RACK_QUALITIES.template;
/** Breaks by which a question is looked at, and by which it is then answered; this share of them must let the breaker go on. */
const ROUGHLY = 90;
const BREAKS = 400;
const LEAST_ON = 0.28;
/** Racks and breaks that are tried for one of a difficulty. */
const TRIES = 30;
/** Places across the table as shares of its width, on either side, and paces, m/s. */
const PLACES = [0.09, 0.17, 0.25, 0.5] as const;
const SPEEDS = [5, 6, 7, 8] as const;
/** By how much the first pocket is ahead of the second one, as a share of the breaks that go on. */
const APART: DifficultyRanges = {
  plain: [0.25, 1],
  fair: [0.12, 0.3],
  close: [0.04, 0.15],
  'hair-fine': [0, 0.06],
};

const one = <T>(random: Random, values: readonly T[], otherwise: T): T =>
  values[Math.floor(random.uniform() * values.length)] ?? otherwise;

function strokeOf(table: Table, kind: RackKind, random: Random): BreakStroke {
  const share = one(random, PLACES, PLACES[0]);
  const isLeft = random.uniform() < 0.5;
  const onSecond = kind !== 'nine' && random.uniform() < 0.5;
  return {
    from: { x: clothLinesOf(table.preset).acrossAt, y: (isLeft ? 1 - share : share) * table.width },
    at: onSecond ? (isLeft ? 2 : 1) : 0,
    covered: onSecond ? 0.8 : 1,
    past: isLeft ? 'left' : 'right',
    speed: one(random, SPEEDS, SPEEDS[0]),
    tip: { side: 0, height: 0 },
    elevation: 0,
  };
}

/** Into which pocket the easiest next pot goes after a break; undefined where the breaker does not go on, or nothing is on. */
export function pocketAfter(shot: Shot, kind: RackKind): PocketName | 'nothing on' | undefined {
  const { table, balls } = shot;
  const { rest } = simulate(shot, { events: false });
  const left = leftOnTable(balls, rest);
  const cue = left.find(({ id }) => id === CUE_BALL);
  const fell = rest.some(({ id, pocket }) => id !== CUE_BALL && pocket !== null);
  if (cue === undefined || !fell || ballLost(rest)) return undefined;
  const objects = left.filter((ball) => ball !== cue);
  const lines = potLines(table, objects, onAfterBreak(kind, objects), acceptanceAbout);
  const error = executionErrorOf(LEVEL, table.preset.game);
  const [easiest] = potOptions(table, cue, lines, objects, error);
  return easiest?.line.pocket ?? 'nothing on';
}

/** The rack that a kind of table has for this question; undefined at snooker, where a break-off is to leave nothing. */
function rackOf({ preset }: Table): RackKind | undefined {
  if (preset.markings === 'colours') return undefined;
  return preset.markings === 'baulk' ? 'eight on the spot' : 'nine';
}

/**
 * Asks into which pocket the next ball will go after a break that is seen with its rack: what most breaks of a team player on
 * racks of the same order leave.
 * @param seed same seed, same question
 * @returns undefined where the table has no such rack, or no try of many is as hard
 */
export function poseBreak(table: Table, difficulty: Difficulty, seed: number): BreakCallQuestion | undefined {
  const kind = rackOf(table);
  if (kind === undefined) return undefined;
  const random = createRandom(seed);
  for (let k = 0; k < TRIES; k++) {
    const racked = drawnRack({ kind, quality: RACK_QUALITIES.tight }, table.preset, random);
    const stroke = strokeOf(table, kind, random);
    const asked: BreakQuestion = {
      table,
      rack: { kind, quality: QUALITY, order: racked.map(({ id }) => id) },
      stroke,
      error: executionErrorOf(LEVEL, table.preset.game),
      breaks: BREAKS,
      seed: Math.floor(random.uniform() * 2 ** 31),
    };
    const isFit = (answer: Answer | undefined) =>
      answer !== undefined &&
      isAsHard(APART, difficulty, (answer.worth[0]?.value ?? 0) - (answer.worth[1]?.value ?? 0));
    if (!isFit(answerOf(asked, ROUGHLY))) continue;
    const answer = answerOf(asked, BREAKS);
    if (answer !== undefined && isFit(answer)) {
      return { kind: BREAK_KIND, shot: breakShot(table, racked, stroke), ...answer, breaks: BREAKS };
    }
  }
  return undefined;
}

type Answer = Pick<BreakCallQuestion, 'truth' | 'worth' | 'goesOn'>;

/** What so many of its breaks leave; undefined where too few let the breaker go on. */
function answerOf(asked: BreakQuestion, breaks: number): Answer | undefined {
  const { kind } = asked.rack;
  const counts = new Map<PocketName, number>();
  let on = 0;
  for (let k = 0; k < breaks; k++) {
    const pocket = pocketAfter(drawnBreak(asked, k), kind);
    if (pocket === undefined) continue;
    on++;
    if (pocket !== 'nothing on') counts.set(pocket, (counts.get(pocket) ?? 0) + 1);
  }
  const worth = [...counts]
    .map(([pick, count]) => ({ pick, value: count / on }))
    .sort((a, b) => b.value - a.value);
  const [best] = worth;
  if (on < LEAST_ON * breaks || best === undefined) return undefined;
  return { truth: best.pick, worth, goesOn: on / breaks };
}
