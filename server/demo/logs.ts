import { BLANK_SHOT } from '../../core/records/loggedShot.ts';
import { logOf, type AttemptLog } from '../../core/records/attempt.ts';
import { NOTHING_ENTERED } from '../../core/records/entered.ts';
import type { BreakLog } from '../../core/records/breakLog.ts';
import type { VirtualAttempt } from '../../core/virtual/playRound.ts';

/** Cues and places that are tried in turn, so that they can be compared. */
export const BREAK_CUES = ['break cue, light', 'playing cue'] as const;
const BREAK_FROM = [
  { x: 0.5, y: 0.635 },
  { x: 0.5, y: 1.0 },
  { x: 0.5, y: 0.25 },
] as const;

const BREAK_UNSEEN: Omit<
  BreakLog,
  'balls' | 'control' | 'layout' | 'inOff' | 'cue' | 'from' | 'runOut' | 'speed'
> = {
  rack: 'tight',
  rackBy: 'hand',
  aim: 'head ball',
  pace: 'controlled',
  wing: null,
  first: null,
  second: null,
  cueBall: null,
  nextShot: null,
};
/** From these grades together on a table that lies so well is run out. */
const RUN_OUT = 5;

/** What a coach would have entered of an attempt that a virtual player has played. @param number from 0 */
export function logOfOutcome(outcome: VirtualAttempt, number: number): AttemptLog {
  const { done, balls, points, penalty, target, grade, kick, opening, broke } = outcome;
  return logOf({
    entered: {
      ...NOTHING_ENTERED,
      done,
      balls: balls ?? null,
      points: points ?? null,
      penalty: penalty ?? null,
      target: target ?? null,
      kick: kick ?? null,
      opening:
        opening === undefined
          ? null
          : {
              ...BREAK_UNSEEN,
              ...opening,
              cue: BREAK_CUES[Math.floor(number / 2) % BREAK_CUES.length] ?? null,
              runOut: done && opening.control + opening.layout >= RUN_OUT,
              speed: broke === undefined ? null : Math.round(10 * broke.speed) / 10,
              from: BREAK_FROM[number % BREAK_FROM.length] ?? null,
            },
    },
    shots: [
      {
        ...BLANK_SHOT,
        grade: grade ?? null,
        inOff: opening?.inOff ?? false,
        landing: broke?.cueAt ?? null,
      },
    ],
  });
}

/** A clearance written down shot by shot, as the virtual player played it. */
export function clearanceLog({ trace }: VirtualAttempt, quick: AttemptLog): AttemptLog {
  if (trace === undefined) return { ...quick, shots: [] };
  return logOf({
    detail: 'full',
    shots: trace.map(({ ball, pocket, potted, inOff, broken, landing }) => ({
      ...BLANK_SHOT,
      ball,
      pocket,
      potted: [...potted],
      inOff,
      broken: [...broken],
      landing,
    })),
  });
}
