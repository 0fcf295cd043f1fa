import { expose } from 'comlink';
import { tableOf } from '../../core/planning/position/prepared.ts';
import { cribOf } from '../../core/shot/kicks/thumb/crib.ts';
import { thumbAnswers } from '../../core/shot/kicks/thumb/thumbAnswers.ts';
import { thumbFigures } from '../../core/shot/kicks/thumb/thumbFigures.ts';
import { thumbMap } from '../../core/shot/kicks/thumb/thumbMap.ts';
import type { ThumbSolver } from './thumbProtocol.ts';

const solver: ThumbSolver = {
  figures: (table) => Promise.resolve(thumbFigures(tableOf(table))),
  answers: ({ table, figures }, pace, from, target) =>
    Promise.resolve(thumbAnswers(tableOf(table), figures, pace, from, target)),
  map: ({ table, figures }, question, pace, target) =>
    Promise.resolve(thumbMap(tableOf(table), question, figures, pace, target)),
  crib: (table) => Promise.resolve(cribOf(tableOf(table))),
};

expose(solver);
