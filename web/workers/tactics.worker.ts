import { expose } from 'comlink';
import { tableOf } from '../../core/planning/position/prepared.ts';
import { rankAnswers } from '../../core/tactics/ranking.ts';
import type { TacticsSolver } from './tacticsProtocol.ts';

const solver: TacticsSolver = {
  rank: (asked, onShare) => Promise.resolve(rankAnswers({ ...asked, table: tableOf(asked.table) }, onShare)),
};

expose(solver);
