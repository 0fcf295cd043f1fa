import { expose } from 'comlink';
import { tableOf } from '../../core/planning/position/prepared.ts';
import { breakSpeed } from '../../core/sound/breakSpeed.ts';
import { breakMap } from '../../core/virtual/breaks/breakMap.ts';
import { studyBreak } from '../../core/virtual/breaks/breakStudy.ts';
import { contactEffects } from '../../core/virtual/breaks/contactEffects.ts';
import type { BreakSolver } from './breakProtocol.ts';

const solver: BreakSolver = {
  study: (asked, onShare) => Promise.resolve(studyBreak({ ...asked, table: tableOf(asked.table) }, onShare)),
  contacts: (asked, gap, onShare) =>
    Promise.resolve(contactEffects({ ...asked, table: tableOf(asked.table) }, gap, onShare)),
  map: (asked, onShare) => Promise.resolve(breakMap({ ...asked, table: tableOf(asked.table) }, onShare)),
  speed: (samples, rate, setting) => Promise.resolve(breakSpeed(samples, rate, setting)),
};

expose(solver);
