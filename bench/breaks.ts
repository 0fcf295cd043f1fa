import { executionErrorOf } from '../core/player/levels.ts';
import { RACK_QUALITIES } from '../core/rack/rackers.ts';
import { FROM_THE_RAIL } from '../core/testing/breakStroke.ts';
import { POOL } from '../core/testing/balls.ts';
import { studyBreak, type BreakQuestion } from '../core/virtual/breaks/breakStudy.ts';
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

/** Milliseconds for what two hundred breaks come to, a map of 55 places and paces with a hundred each, and for which contact of a rack of nine matters. */
export const breaks: Readonly<Record<string, () => Figure>> = {
  'break.study': () =>
    breaking('break.study', 'no limit', (question) => studyBreak({ ...question, breaks: 200 })),
  'break.map': () =>
    breaking('break.map', 'under 10,000', (question) => breakMap({ ...question, breaks: 100 })),
  'break.sensitivity': () =>
    breaking('break.sensitivity', 'under 5,000', (question) => contactEffects(question, 1e-4)),
};
