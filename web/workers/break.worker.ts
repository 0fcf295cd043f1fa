import { expose } from 'comlink';
import { tableOf } from '../../core/planning/position/prepared.ts';
import { studyBreak } from '../../core/virtual/breaks/breakStudy.ts';
import type { BreakSolver } from './breakProtocol.ts';

const solver: BreakSolver = {
  study: (asked, onShare) => Promise.resolve(studyBreak({ ...asked, table: tableOf(asked.table) }, onShare)),
};

expose(solver);
