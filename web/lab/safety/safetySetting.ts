import { LEVEL_NAMES, type LevelName } from '../../../core/player/levels.ts';
import { GAMES, type Game } from '../../../core/rules/foulCost.ts';
import type { FoulGives } from '../../../core/tactics/situation.ts';
import { onForOpponent } from '../../../core/tactics/turns.ts';
import type { TablePreset } from '../../../core/table/preset.ts';
import { CUE } from '../../table/labShot.ts';

const LAST = '8';
/** From this number on a ball is of the second suit. */
const SECOND_SUIT = 9;

/** Nobody is farther ahead in a frame. */
export const MOST_LEAD = 147;

/** What may be played next. */
export const TURNS = ['usual', 'low balls', 'high balls', 'the 8', 'a colour'] as const;
export type Turn = (typeof TURNS)[number];

/** What is asked of a position: all of it stands in the address. */
export interface SafetySetting {
  readonly game: Game;
  readonly turn: Turn;
  readonly level: LevelName;
  readonly opponent: LevelName;
  /** At snooker: whether a miss is called. */
  readonly missCalled: boolean;
  /** What a foul gives, as the house has it; undefined for the game's own rule. */
  readonly foulGives: FoulGives | undefined;
  /** At snooker: points ahead in the frame; undefined where points alone count. */
  readonly lead: number | undefined;
}

/** The games that are played on a table, the usual one first. */
export function gamesOn({ game, markings }: TablePreset): readonly Game[] {
  if (game === 'snooker') return ['snooker'];
  const pool = GAMES.filter((each) => each !== 'snooker');
  return markings === 'baulk' ? [...pool].reverse() : pool;
}

/** What can be said of the next ball in a game. */
export function turnsIn(game: Game): readonly Turn[] {
  if (game === 'nine-ball') return ['usual'];
  return game === 'snooker' ? ['usual', 'a colour'] : ['usual', 'low balls', 'high balls', 'the 8'];
}

/** "the lowest ball", and the like. */
export function turnWords(turn: Turn, game: Game): string {
  if (turn !== 'usual') return turn;
  if (game === 'nine-ball') return 'the lowest ball';
  return game === 'snooker' ? 'a red, or the lowest colour' : 'open table';
}

/** The balls that may be met first. @param ids of the object balls on the table */
export function ballsOn(game: Game, turn: Turn, ids: readonly string[]): readonly string[] {
  switch (turn) {
    case 'usual':
      return game === 'nine-ball' || game === 'snooker'
        ? onForOpponent(game, [], ids)
        : ids.filter((id) => id !== LAST);
    case 'low balls':
      return ids.filter((id) => Number(id) < SECOND_SUIT && id !== LAST);
    case 'high balls':
      return ids.filter((id) => Number(id) >= SECOND_SUIT);
    case 'the 8':
      return ids.filter((id) => id === LAST);
    case 'a colour':
      return ids.filter((id) => !id.startsWith('red'));
  }
}

/** What can be said of a foul at pool. */
export const HOUSE_FOULS = {
  'as the game has it': undefined,
  'ball in hand': { kind: 'ball in hand' },
  'two visits': { kind: 'visits', visits: 2 },
  'one visit': { kind: 'visits', visits: 1 },
} as const satisfies Readonly<Record<string, FoulGives | undefined>>;
export type HouseFoul = keyof typeof HOUSE_FOULS;
export const HOUSE_FOUL_NAMES = ['as the game has it', 'ball in hand', 'two visits', 'one visit'] as const;

/** The rule that an address names; what it does not say is the game's own. */
export function houseFoulFrom(name: string | null): HouseFoul {
  return HOUSE_FOUL_NAMES.find((each) => each === name) ?? 'as the game has it';
}

function leadFrom(text: string | null): number | undefined {
  if (text === null || !/^-?\d{1,3}$/.test(text)) return undefined;
  return Math.max(-MOST_LEAD, Math.min(MOST_LEAD, Number(text)));
}

/** The setting that an address names; what it does not say, or what is not of this table, is the usual. */
export function safetySettingFrom(params: URLSearchParams, preset: TablePreset): SafetySetting {
  const games = gamesOn(preset);
  const game = games.find((each) => each === params.get('game')) ?? games[0] ?? 'nine-ball';
  const levelOf = (name: string) => LEVEL_NAMES.find((level) => level === params.get(name)) ?? 'team';
  return {
    game,
    turn: turnsIn(game).find((each) => each === params.get('turn')) ?? 'usual',
    level: levelOf('level'),
    opponent: levelOf('opponent'),
    missCalled: game === 'snooker' && params.get('miss') !== 'no',
    foulGives: game === 'snooker' ? undefined : HOUSE_FOULS[houseFoulFrom(params.get('foul'))],
    lead: game === 'snooker' ? leadFrom(params.get('lead')) : undefined,
  };
}

/** Whether the balls of a bench are of a game: numbers at pool, reds and colours at snooker. */
export function strangeBalls(game: Game, ids: readonly string[]): readonly string[] {
  const isOf = (id: string) =>
    game === 'snooker'
      ? /^(red( \d+)?|yellow|green|brown|blue|pink|black)$/.test(id)
      : /^(\d|1[0-5])$/.test(id) && id !== '0';
  return ids.filter((id) => id !== CUE && !isOf(id));
}
