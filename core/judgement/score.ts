import { distance, type Point } from '../math/point.ts';
import { chanceAt } from '../planning/grid.ts';
import { chanceToMeet, directionTo } from './kickQuestion.ts';
import type { CallAnswer, CallQuestion } from './question.ts';

/** A drawn path that is off by this in the mean is worth nothing, metres. */
const WORTHLESS = 0.5;
const SAMPLES = 24;

/** Points at even steps along a line. */
function resampled(points: readonly Point[], count: number): readonly Point[] {
  const [first] = points;
  if (first === undefined) return [];
  const lengths = points.slice(1).map((point, i) => distance(points[i] ?? point, point));
  const whole = lengths.reduce((sum, each) => sum + each, 0);
  return Array.from({ length: count }, (_, k) => {
    let left = (whole * k) / (count - 1);
    for (const [i, length] of lengths.entries()) {
      const [a, b] = [points[i], points[i + 1]];
      if (a === undefined || b === undefined) break;
      if (left <= length || i === lengths.length - 1) {
        const share = length === 0 ? 0 : Math.min(1, left / length);
        return { x: a.x + share * (b.x - a.x), y: a.y + share * (b.y - a.y) };
      }
      left -= length;
    }
    return first;
  });
}

/** How far apart two lines are in the mean, each walked from its beginning to its end at an even pace, metres. */
export function meanApart(a: readonly Point[], b: readonly Point[]): number {
  const [one, two] = [resampled(a, SAMPLES), resampled(b, SAMPLES)];
  if (one.length === 0 || two.length === 0) return Infinity;
  return one.reduce((sum, point, i) => sum + distance(point, two[i] ?? point), 0) / SAMPLES;
}

/** A choice that costs as much as this share of a pot is worth nothing. */
const WHOLE_COST = 0.5;

/** What is left of a call that costs something. @param unit what the next pot is worth */
function keptOf(cost: number, unit: number): number {
  return Math.max(0, 1 - cost / (WHOLE_COST * unit));
}

/**
 * What a call is worth, 0…1: a verdict or a side of a plant is right or wrong, a drawn path loses by its mean distance from
 * the true one (nothing left at half a metre), a length by its share of the longer of both, a pick, an order or a place by
 * the share of the best one's worth that it keeps; the wrong side to miss, and pot or safe, by what it costs (nothing left
 * at half a pot).
 * @throws RangeError for an answer of another kind than the question asks for
 */
export function scoreCall(question: CallQuestion, answer: CallAnswer): number {
  switch (question.kind) {
    case 'in-off or not':
    case 'does it pass':
      if (answer.kind !== 'verdict') break;
      return answer.verdict === question.truth ? 1 : 0;
    case 'draw the path':
      if (answer.kind !== 'path') break;
      return Math.max(0, 1 - meanApart(answer.points, question.truth) / WORTHLESS);
    case 'how long is the window': {
      if (answer.kind !== 'length') break;
      const longer = Math.max(answer.metres, question.truth);
      return longer <= 0 ? 1 : 1 - Math.abs(answer.metres - question.truth) / longer;
    }
    case 'which side of the plant':
      if (answer.kind !== 'side') break;
      return answer.side === question.truth ? 1 : 0;
    case 'which ball first':
    case 'which suit':
    case 'key ball':
    case 'which line':
    case 'what will be on': {
      if (answer.kind !== 'pick') break;
      const best = question.worth[0]?.value ?? 0;
      const own = question.worth.find(({ pick }) => pick === answer.pick)?.value ?? 0;
      return best <= 0 ? 0 : own / best;
    }
    case 'where on the cushion': {
      if (answer.kind !== 'place') break;
      const { shot, target, best } = question;
      const met = chanceToMeet(shot, target, directionTo(shot, answer.at));
      return best <= 0 ? 0 : Math.min(1, met / best);
    }
    case 'which way to miss': {
      if (answer.kind !== 'side') break;
      const { left, right, truth, unit } = question;
      return answer.side === truth ? 1 : keptOf(Math.abs(left - right), unit);
    }
    case 'pot or safe': {
      if (answer.kind !== 'pick') break;
      const { potWorth, safeWorth, truth, unit } = question;
      return answer.pick === truth ? 1 : keptOf(Math.abs(potWorth - safeWorth), unit);
    }
    case 'where to be': {
      if (answer.kind !== 'place') break;
      const { best, worth } = question;
      return best <= 0 ? 0 : Math.min(1, chanceAt(worth, answer.at) / best);
    }
    case 'whole order': {
      if (answer.kind !== 'order') break;
      const best = question.worth[0]?.value ?? 0;
      const called = question.worth.find(({ order }) => order.join() === answer.order.join());
      return best <= 0 ? 0 : (called?.value ?? 0) / best;
    }
  }
  throw new RangeError(`scoreCall: "${question.kind}" is not answered by a ${answer.kind}`);
}
