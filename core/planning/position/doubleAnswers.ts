import { simulate } from '../../motion/simulate.ts';
import { executed } from '../../player/execute.ts';
import { createRandom } from '../../random/random.ts';
import { kissesTwice, solveDouble } from '../../shot/doubles.ts';
import { prepare } from './prepared.ts';
import type { DoubleAnswer, PositionQuestion } from './question.ts';

const EXECUTIONS = 150;

/** The ball of a question potted by way of a cushion, at some paces. @param speeds m/s; @param seed same seed, same shares */
export function doubleAnswers(
  question: PositionQuestion,
  speeds: readonly number[],
  seed: number,
): readonly DoubleAnswer[] {
  const { table } = prepare(question);
  const asked = { table, balls: question.balls, object: question.pot, pocket: question.pocket };
  return speeds.map((speed) => {
    const way = solveDouble(asked, {
      ball: question.cue,
      speed,
      tip: { side: 0, height: 0 },
      elevation: 0,
    });
    if (way === undefined) return { speed, way, potted: 0, kissed: 0 };
    const random = createRandom(seed);
    let [potted, kissed] = [0, 0];
    for (let k = 0; k < EXECUTIONS; k++) {
      const result = simulate(executed(way.shot, question.error, random));
      if (result.rest.some(({ id, pocket }) => id === question.pot && pocket === question.pocket)) potted++;
      if (kissesTwice(result, question.cue, question.pot)) kissed++;
    }
    return { speed, way, potted: potted / EXECUTIONS, kissed: kissed / EXECUTIONS };
  });
}
