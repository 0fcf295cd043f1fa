import { bestPotChance } from '../planning/bestPot.ts';
import type { BallOnTable, Shot, ShotResult } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import { leftOnTable } from '../planning/aftermath.ts';
import { potLines, potOptions, type PotOption } from '../planning/potOptions.ts';
import { buttOf } from '../player/cueing.ts';
import { acceptanceNear } from '../shot/acceptanceNear.ts';
import { createAimer } from '../shot/aim.ts';
import type { Condition } from '../records/drill.ts';
import type { PocketName } from '../table/pockets.ts';
import { mostWorth, worthAsPlayed, type VirtualPlayer } from './player.ts';

/** A stroke at a pot that a virtual player has settled on. */
export interface ChosenPot {
  readonly shot: Shot;
  readonly ball: string;
  readonly pocket: PocketName;
}

/** What the choice depends on beside the balls. */
export interface PotSituation {
  /** All balls, the cue ball among them. */
  readonly balls: readonly BallOnTable[];
  readonly cue: BallOnTable;
  readonly legal: readonly string[];
  /** What may be potted after each of them. */
  readonly legalAfter: (potted: string) => readonly string[];
  readonly conditions: readonly Condition[];
  /** The pocket of the last pot, for drills that ask for another. */
  readonly lastPocket: PocketName | undefined;
}

/** Pots that are weighed against each other, and how much less likely than the best one they may be. */
const WEIGHED = 3;
const WORTH_WEIGHING = 0.6;
const HEIGHTS = [-0.35, 0, 0.35];
/** Who looks at the pot alone plays no follow and no draw. */
const PLAIN = [0];
const NOT_AHEAD = 0;
const SPEEDS = [0.9, 1.4, 2.1, 3.2];
/** What a pot is worth that leaves nothing on, against one that leaves a certain next. */
const WITHOUT_NEXT = 0.25;
/** What is left of a stroke that does not do as it should, as planned: it may still be the best there is. */
const BROKEN = 0.01;
/** So many of the best strokes are tried, so often, before one is settled on. */
const TRIED = 5;
const EXECUTIONS = 8;
const ROUGH = 1e-5;

/** Conditions that a played shot broke, as far as they can be seen from it. */
export function brokenConditions(
  conditions: readonly Condition[],
  result: ShotResult,
  { cue, object, pocket, lastPocket }: Broken,
): readonly Condition[] {
  const cushions = result.events.filter((event) => event.kind === 'ball-cushion' && event.id === cue).length;
  const meetings = result.events.flatMap((event) => (event.kind === 'ball-ball' ? [event.ids] : []));
  const met = result.events.findIndex((event) => event.kind === 'ball-ball' && event.ids.includes(cue));
  const before = met === -1 ? result.events : result.events.slice(0, met);
  const second = meetings.some((ids) => ids.some((id) => id !== cue && id !== object));
  const fallen = result.rest.find(({ id }) => id === object)?.pocket;
  const isBroken = (condition: Condition): boolean => {
    switch (condition) {
      case 'no cushion':
        return cushions > 0;
      case 'at least one cushion':
        return cushions === 0;
      case 'cushion first':
        return !before.some((event) => event.kind === 'ball-cushion' && event.id === cue);
      case 'no second ball':
      case 'no plants or doubles':
        return second;
      case 'nominated pocket':
        return fallen !== null && fallen !== undefined && fallen !== pocket;
      case 'alternating pockets':
        return fallen !== null && fallen !== undefined && fallen === lastPocket;
      default:
        return false;
    }
  };
  return conditions.filter(isBroken);
}

interface Broken {
  readonly cue: string;
  readonly object: string;
  /** The pocket that was meant. */
  readonly pocket: PocketName;
  readonly lastPocket: PocketName | undefined;
}

/**
 * The first policy for choosing the next ball: weighs the likeliest pots with a few plain strokes each, by the chance of
 * the pot and of the best one after it where the planned stroke leaves the cue ball, and tries the best of them with the
 * player's errors before it settles.
 * @returns undefined when no ball is on
 */
export function choosePot(player: VirtualPlayer, situation: PotSituation): ChosenPot | undefined {
  const { table, error } = player;
  const { balls, cue, legal, conditions, lastPocket } = situation;
  const objects = balls.filter((ball) => ball !== cue);
  const lines = potLines(table, objects, legal, acceptanceNear).filter(
    ({ pocket }) => !conditions.includes('alternating pockets') || pocket !== lastPocket,
  );
  const options = potOptions(table, cue, lines, objects, error).filter(
    ({ cueing }) => !conditions.includes('no rest') || cueing.verdict !== 'rest',
  );
  const likeliest = options[0];
  if (likeliest === undefined) return undefined;
  const weighed: WeighedPot[] = [];
  for (const option of options.slice(0, WEIGHED)) {
    if (option.chance < WORTH_WEIGHING * likeliest.chance) break;
    weighed.push(...strokesAt(player, situation, option));
  }
  weighed.sort((a, b) => b.worth - a.worth);
  const best = weighed.slice(0, TRIED);
  // Beside a pocket or a ball the plan alone says little.
  return mostWorth(best, (chosen) =>
    worthAsPlayed(player, chosen.shot, EXECUTIONS, (played) =>
      leavesWorth(player, situation, chosen, played),
    ),
  );
}

interface WeighedPot extends ChosenPot {
  readonly worth: number;
}

/** What a played stroke is worth: nothing without the pot, most with a certain next one. */
function leavesWorth(
  { table, error, looksAhead }: VirtualPlayer,
  { balls, cue, legalAfter, conditions, lastPocket }: PotSituation,
  { ball, pocket }: ChosenPot,
  shot: Shot,
): number {
  const result = simulate(shot);
  const meant = { cue: cue.id, object: ball, pocket, lastPocket };
  const fell = result.rest.some((at) => at.id === ball && at.pocket === pocket);
  if (!fell || brokenConditions(conditions, result, meant).length > 0) return BROKEN;
  const left = leftOnTable(balls, result.rest);
  const cueAfter = left.find(({ id }) => id === cue.id);
  if (cueAfter === undefined) return 0;
  if (looksAhead === NOT_AHEAD) return 1;
  const after = legalAfter(ball);
  if (after.length === 0) return 1;
  const objects = left.filter((each) => each !== cueAfter);
  return WITHOUT_NEXT + (1 - WITHOUT_NEXT) * bestPotChance(table, cueAfter, objects, after, error);
}

function* strokesAt(
  player: VirtualPlayer,
  situation: PotSituation,
  { line, chance, cueing }: PotOption,
): Generator<WeighedPot> {
  const { balls, cue } = situation;
  const aimer = createAimer(player.table, cue, line.object);
  const elevation = buttOf(cueing);
  for (const height of player.looksAhead === NOT_AHEAD ? PLAIN : HEIGHTS) {
    for (const speed of SPEEDS) {
      const stroke = { ball: cue.id, speed, tip: { side: 0, height }, elevation };
      const shot = aimer.shot(balls, stroke, line.acceptance.middle, ROUGH);
      if (shot === undefined) continue;
      const chosen = { shot, ball: line.ball, pocket: line.pocket };
      yield { ...chosen, worth: chance * leavesWorth(player, situation, chosen, shot) };
    }
  }
}
