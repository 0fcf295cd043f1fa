import type { Shot } from '../../core/motion/shot.ts';
import { potLines, potOptions } from '../../core/planning/potOptions.ts';
import type { Hand } from '../../core/player/cueing.ts';
import {
  executionErrorOf,
  LEVEL_NAMES,
  type ExecutionError,
  type LevelName,
} from '../../core/player/levels.ts';
import { acceptanceNear } from '../../core/shot/acceptanceNear.ts';
import { POCKET_NAMES, type PocketName } from '../../core/table/pockets.ts';
import type { RoomLimits } from '../../core/table/room.ts';
import type { PositionQuestion } from '../../core/planning/position/question.ts';
import type { PositionDrill } from '../../core/drill/positionDrill.ts';
import { CUE, shotToLink } from '../table/labShot.ts';

type PositionTask = PositionDrill['task'];

/** What is asked of a position: all of it stands in the address. */
export interface PositionSetting {
  readonly pot: string;
  readonly pocket: PocketName;
  readonly next: readonly string[];
  /** The only pocket of the next ball that counts; any when null. */
  readonly nextPocket: PocketName | null;
  readonly after: string | null;
  readonly level: LevelName;
  readonly hand: Hand;
  readonly side: boolean;
}

/** Chance from which a player counts as on a ball. */
export const CONFIDENCE = 0.7;

/** The likeliest pot of a layout: what is asked before anybody says. */
export function likeliestPot({ table, balls }: Shot): Pick<PositionSetting, 'pot' | 'pocket'> {
  const objects = balls.filter(({ id }) => id !== CUE);
  const cue = balls.find(({ id }) => id === CUE);
  const lines = potLines(
    table,
    objects,
    objects.map(({ id }) => id),
    acceptanceNear,
  );
  const best = cue && potOptions(table, cue, lines, objects, executionErrorOf('team', table.preset.game))[0];
  return { pot: best?.line.ball ?? objects[0]?.id ?? '', pocket: best?.line.pocket ?? 'foot-left' };
}

/**
 * Reads the setting from an address; what it does not say, or says of balls that are not there, is guessed.
 * @param balls ids of all balls on the table
 * @param guess the pot that is asked when the address names none: it stays while balls are moved
 */
export function settingFrom(
  params: URLSearchParams,
  balls: readonly string[],
  guess: Pick<PositionSetting, 'pot' | 'pocket'>,
): PositionSetting {
  const ids = balls.filter((id) => id !== CUE);
  const asked = params.get('pot');
  const pot = [asked, guess.pot].find((id) => id !== null && ids.includes(id)) ?? ids[0] ?? '';
  const rest = ids.filter((id) => id !== pot);
  const named = (params.get('next') ?? '').split(',').filter((id) => rest.includes(id));
  const next = named.length > 0 ? named : rest.slice(0, 1);
  const after = params.get('after');
  return {
    pot,
    pocket: POCKET_NAMES.find((name) => name === params.get('pocket')) ?? guess.pocket,
    next,
    nextPocket: POCKET_NAMES.find((name) => name === params.get('nextPocket')) ?? null,
    after: after !== null && rest.includes(after) && !next.includes(after) ? after : null,
    level: LEVEL_NAMES.find((name) => name === params.get('level')) ?? 'team',
    hand: params.get('hand') === 'left' ? 'left' : 'right',
    side: params.get('side') !== 'no',
  };
}

/** The address of a setting, on top of what else it holds. */
export function settingTo(params: URLSearchParams, change: Partial<PositionSetting>): URLSearchParams {
  const next = new URLSearchParams(params);
  for (const [name, value] of Object.entries(change)) {
    if (value === null) next.delete(name);
    else if (typeof value === 'boolean') {
      if (value) next.delete(name);
      else next.set(name, 'no');
    } else next.set(name, Array.isArray(value) ? value.join(',') : String(value));
  }
  return next;
}

/** The question that the planner is asked. @param error the player's, the level's when left out */
export function questionOf(
  { table, balls }: Shot,
  setting: PositionSetting,
  room: RoomLimits | null,
  error: ExecutionError = executionErrorOf(setting.level, table.preset.game),
): PositionQuestion {
  const { pot, pocket, next, nextPocket, after, hand, side } = setting;
  return {
    table: { preset: table.preset, parameters: table.parameters },
    balls,
    cue: CUE,
    pot,
    pocket,
    next,
    nextPocket,
    after,
    error,
    hand,
    room,
    confidence: after === null ? CONFIDENCE : CONFIDENCE * CONFIDENCE,
    side,
    middle: false,
  };
}

/** The address of the lab with a drill's planned shot in it. */
export function labAddress(shot: Shot, { pot, pocket, next }: PositionTask): string {
  const params = new URLSearchParams({ pot, pocket, next: next.ball, nextPocket: next.pocket });
  params.set('shot', shotToLink(shot));
  return `/lab/position?${params.toString()}`;
}
