import { distance } from '../../math/point.ts';
import { contactDistance } from '../../motion/ballBall.ts';
import { simulate } from '../../motion/simulate.ts';
import { flipGap, solvePlant } from '../../shot/plants.ts';
import { prepare } from './prepared.ts';
import type { PlannedStroke, PlantAnswer, PositionQuestion } from './question.ts';

/** The ball of a question potted by way of another. @returns undefined where no hit does it */
export function plantAnswer(
  question: PositionQuestion,
  firstId: string,
  stroke: PlannedStroke,
): PlantAnswer | undefined {
  const { table, cue, object, others } = prepare(question);
  const first = others.find(({ id }) => id === firstId);
  if (first === undefined) return undefined;
  const rest = others.filter((ball) => ball !== first);
  const plant = { table, cue, first, second: object, pocket: question.pocket, others: rest };
  const { speed, tip, elevation } = stroke;
  const plan = { ball: question.cue, speed, tip, elevation };
  const way = solvePlant(plant, plan);
  if (way === undefined) return undefined;
  return {
    way,
    result: simulate(way.shot, { paths: true }),
    flip: flipGap(plant, plan),
    gap: distance(first, object) - contactDistance(first.radius, object.radius),
  };
}
