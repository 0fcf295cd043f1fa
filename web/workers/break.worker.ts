import { expose } from 'comlink';
import { tableOf } from '../../core/planning/position/prepared.ts';
import { breakSpeed } from '../../core/sound/breakSpeed.ts';
import { bestBreak } from '../../core/virtual/breaks/bestBreak.ts';
import { leftBy, leftPatterns } from '../../core/virtual/breaks/leftPatterns.ts';
import { breakMap } from '../../core/virtual/breaks/breakMap.ts';
import { studyBreak } from '../../core/virtual/breaks/breakStudy.ts';
import { contactEffects } from '../../core/virtual/breaks/contactEffects.ts';
import type { BreakSolver } from './breakProtocol.ts';

const solver: BreakSolver = {
  study: (asked, onShare) => Promise.resolve(studyBreak({ ...asked, table: tableOf(asked.table) }, onShare)),
  contacts: (asked, gap, onShare) =>
    Promise.resolve(contactEffects({ ...asked, table: tableOf(asked.table) }, gap, onShare)),
  map: (asked, onShare) => Promise.resolve(breakMap({ ...asked, table: tableOf(asked.table) }, onShare)),
  best: (asked, onShare) => Promise.resolve(bestBreak({ ...asked, table: tableOf(asked.table) }, onShare)),
  compare: (asked, strokes, onShare) => {
    const table = tableOf(asked.table);
    return Promise.resolve(
      strokes.map((stroke, i) =>
        studyBreak({ ...asked, stroke, table }, (share) => onShare((i + share) / strokes.length)),
      ),
    );
  },
  patterns: (asked, count, onShare) => {
    const question = { ...asked, table: tableOf(asked.table) };
    const left = leftPatterns(asked.rack.kind, studyBreak(question, onShare).played, count);
    const tables = left.patterns.map(({ number }) => leftBy(question, number));
    return Promise.resolve({ ...left, tables });
  },
  speed: (samples, rate, setting) => Promise.resolve(breakSpeed(samples, rate, setting)),
};

expose(solver);
