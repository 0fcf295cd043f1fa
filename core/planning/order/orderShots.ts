import { acceptanceOf } from '../../shot/acceptance.ts';
import { potLines, type PotLine } from '../potOptions.ts';
import { MANY_NODES, MOST_NODES, orderNodes, type OrderNode } from './nodes.ts';
import type { OrderQuestion } from './orderQuestion.ts';
import { buildShotTable, type ShotTable, type TableShare } from './shotTable.ts';
import { WIDE } from './tableDetail.ts';

/** So few legal balls are looked at one by one: each needs its own pots, and may be hidden. */
export const FEW = 2;

/** The pots of a table's balls as if each lay there alone: the others are kept as what is in the way. */
export function potsAlone<S>({ table, balls }: OrderQuestion<S>): readonly PotLine[] {
  return balls.flatMap((ball) => potLines(table, [ball], [ball.id], acceptanceOf));
}

/** The shot table that a question's plan is made of, as finely as its number of states allows. */
export function orderShots<S>(
  question: OrderQuestion<S>,
  nodes: readonly OrderNode[],
  pots: readonly PotLine[],
  share?: TableShare,
): ShotTable {
  const { table, balls, error } = question;
  const wanted = nodes.length > MANY_NODES ? WIDE : question.detail;
  const detail = nodes.every(({ legal }) => legal.length <= FEW) ? { ...wanted, lines: 0 } : wanted;
  return buildShotTable(table, balls, pots, error, detail, question, share);
}

/**
 * One thread's share of a question's shots; the joined shares are what the question's plan is made of.
 * @returns undefined for an order with more states than a plan can look at
 */
export function shareOfShots<S>(question: OrderQuestion<S>, share: TableShare): ShotTable | undefined {
  const { game, balls } = question;
  const ids = balls.map(({ id }) => id);
  const nodes = orderNodes(game, ids, MOST_NODES);
  return nodes && orderShots(question, nodes, potsAlone(question), share);
}
