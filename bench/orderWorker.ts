import { parentPort } from 'node:worker_threads';
import { shareOfShots } from '../core/planning/order/orderShots.ts';
import { orderQuestion, type OrderAsked } from './orderQuestion.ts';

/** Works out the second half of each question's shots that comes. */
parentPort?.on('message', (asked: OrderAsked) => {
  parentPort?.postMessage(shareOfShots(orderQuestion(asked), { part: 1, of: 2 }));
});
