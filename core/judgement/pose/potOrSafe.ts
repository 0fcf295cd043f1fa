import { potLines, potOptions } from '../../planning/potOptions.ts';
import { executionErrorOf } from '../../player/levels.ts';
import { acceptanceAbout } from '../../shot/acceptanceNear.ts';
import { rankAnswers, type Answer } from '../../tactics/ranking.ts';
import { isAsHard, type DifficultyRanges } from '../kinds.ts';
import type { Poser } from './poser.ts';
import { thrown } from './thrown.ts';
import { potUnit, turnAt } from './turn.ts';

/** The balls of a position by game, the one that is on first. */
const BALLS = { pool: ['1', '2', '3'], snooker: ['red', 'blue', 'pink'] } as const;
/** Pots that fall less or more often than this leave nothing to ask. */
const CHANCES = [0.2, 0.8] as const;
/** Pots by which the choices differ. Each table is ranked whole: narrow ranges would be searched for minutes. */
const APART: DifficultyRanges = {
  plain: [0.2, Infinity],
  fair: [0.1, 0.3],
  close: [0.05, 0.15],
  'hair-fine': [0, 0.08],
};

const isPot = ({ kind }: Answer) => kind.name === 'pot';

/** A pot that is neither easy nor hopeless: is it worth it, or is the ball better left safe? */
export const posePotOrSafe: Poser = (table, random, { difficulty }) => {
  const { game } = table.preset;
  const there = thrown(table, random, BALLS[game]);
  if (there === undefined) return undefined;
  const { cue, balls } = there;
  const target = BALLS[game][0];
  const [easiest] = potOptions(
    table,
    cue,
    potLines(table, balls, [target], acceptanceAbout),
    balls,
    executionErrorOf('team', game),
  );
  const [least, most] = CHANCES;
  if (easiest === undefined || easiest.chance < least || easiest.chance > most) return undefined;
  const turn = turnAt({ table, balls: [cue, ...balls], cue: cue.id }, target);
  const { answers } = rankAnswers(turn);
  const pot = answers.find(isPot);
  const safe = answers.find((each) => !isPot(each));
  if (pot === undefined || safe === undefined) return undefined;
  const unit = potUnit(turn);
  if (!isAsHard(APART, difficulty, Math.abs(pot.worth - safe.worth) / unit)) return undefined;
  const truth = pot.worth > safe.worth ? 'pot' : 'safe';
  return {
    kind: 'pot or safe',
    shot: (truth === 'pot' ? pot : safe).shot,
    target,
    truth,
    potWorth: pot.worth,
    safeWorth: safe.worth,
    falls: pot.outcomes.find(({ kind }) => kind === 'pot')?.share ?? 0,
    unit,
  };
};
