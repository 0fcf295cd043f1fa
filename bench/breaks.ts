import { executionErrorOf } from '../core/player/levels.ts';
import { RACK_QUALITIES } from '../core/rack/rackers.ts';
import { FROM_THE_RAIL } from '../core/testing/breakStroke.ts';
import { POOL } from '../core/testing/balls.ts';
import { bestBreak } from '../core/virtual/breaks/bestBreak.ts';
import { leftPatterns } from '../core/virtual/breaks/leftPatterns.ts';
import { openingOf } from '../core/virtual/breaks/opening.ts';
import { drawnBreak, studyBreak, type BreakQuestion } from '../core/virtual/breaks/breakStudy.ts';
import { breakMap } from '../core/virtual/breaks/breakMap.ts';
import { contactEffects } from '../core/virtual/breaks/contactEffects.ts';
import { middle, type Figure } from './report.ts';

const QUESTION: BreakQuestion = {
  table: POOL,
  rack: { kind: 'nine', quality: RACK_QUALITIES.template },
  stroke: FROM_THE_RAIL,
  error: executionErrorOf('team', 'pool'),
  breaks: 40,
  seed: 1,
};
/** The first run warms up. */
const SEEDS = [1, 2, 3];

function breaking(name: string, wanted: string, work: (question: BreakQuestion) => unknown): Figure {
  const time = (seed: number) => {
    const start = performance.now();
    work({ ...QUESTION, seed });
    return performance.now() - start;
  };
  time(0);
  return { name, value: middle(SEEDS.map(time)), unit: 'ms, one thread', wanted };
}

/** Milliseconds until a map of breaks has its first picture. */
function firstMap(question: BreakQuestion): void {
  const seen = new Error('seen');
  try {
    breakMap({ ...question, breaks: 100 }, (_, first) => {
      if (first !== undefined) throw seen;
    });
  } catch (error) {
    if (error !== seen) throw error;
  }
}

/**
 * Milliseconds for what two hundred breaks come to, a map of 55 places and paces with a hundred each and its first picture,
 * which contact of a rack of nine matters, the best break of some hundred, three tables that two hundred breaks tend to
 * leave, and one break with its contacts told.
 */
export const breaks: Readonly<Record<string, () => Figure>> = {
  'break.study': () =>
    breaking('break.study', 'no limit', (question) => studyBreak({ ...question, breaks: 200 })),
  'break.map': () =>
    breaking('break.map', 'under 10,000', (question) => breakMap({ ...question, breaks: 100 })),
  'break.map.first': () => breaking('break.map.first', 'under 1,000', firstMap),
  'break.sensitivity': () =>
    breaking('break.sensitivity', 'under 5,000', (question) => contactEffects(question, 1e-4)),
  'break.best': () => breaking('break.best', 'under 15,000', (question) => bestBreak(question)),
  'break.patterns': () =>
    breaking('break.patterns', 'no limit', (question) =>
      leftPatterns('nine', studyBreak({ ...question, breaks: 200 }).played, 3),
    ),
  'break.opening': () =>
    breaking('break.opening', 'no limit', (question) => openingOf(drawnBreak(question, 0))),
};
