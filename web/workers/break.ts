import { proxy } from 'comlink';
import type { ContactEffect } from '../../core/virtual/breaks/contactEffects.ts';
import type { SpeedSetting, SpeedTold } from '../../core/sound/breakSpeed.ts';
import type { BestBreak } from '../../core/virtual/breaks/bestBreak.ts';
import type { BreakStroke } from '../../core/virtual/breaks/breakShot.ts';
import type { BreakMap } from '../../core/virtual/breaks/breakMap.ts';
import type { BreakStudy } from '../../core/virtual/breaks/breakStudy.ts';
import type { BreakAsked, BreakSolver, LaidPatterns } from './breakProtocol.ts';
import { oneRun, type Running } from './oneRun.ts';

const start = () => new Worker(new URL('./break.worker.ts', import.meta.url), { type: 'module' });

/** A break played many times, in a thread of its own: to stop it is to end the thread. */
export function breakStudyOf(asked: BreakAsked, onShare: (share: number) => void): Running<BreakStudy> {
  return oneRun<BreakSolver, BreakStudy>(start(), (solver) => solver.study(asked, proxy(onShare)));
}

/** Which contact of its rack matters, in a thread of its own. @param gap metres */
export function contactEffectsOf(
  asked: BreakAsked,
  gap: number,
  onShare: (share: number) => void,
): Running<readonly ContactEffect[]> {
  return oneRun<BreakSolver, readonly ContactEffect[]>(start(), (solver) =>
    solver.contacts(asked, gap, proxy(onShare)),
  );
}

/** A break over places and paces, in a thread of its own. */
export function breakMapOf(
  asked: BreakAsked,
  onShare: (share: number, first?: BreakMap) => void,
): Running<BreakMap> {
  return oneRun<BreakSolver, BreakMap>(start(), (solver) => solver.map(asked, proxy(onShare)));
}

/** The break that is worth most, in a thread of its own. */
export function bestBreakOf(asked: BreakAsked, onShare: (share: number) => void): Running<BestBreak> {
  return oneRun<BreakSolver, BestBreak>(start(), (solver) => solver.best(asked, proxy(onShare)));
}

/** Several breaks played many times each, in a thread of its own. */
export function comparedBreaksOf(
  asked: BreakAsked,
  strokes: readonly BreakStroke[],
  onShare: (share: number) => void,
): Running<readonly BreakStudy[]> {
  return oneRun<BreakSolver, readonly BreakStudy[]>(start(), (solver) =>
    solver.compare(asked, strokes, proxy(onShare)),
  );
}

/** What a break tends to leave, in a thread of its own. */
export function leftPatternsOf(
  asked: BreakAsked,
  count: number,
  onShare: (share: number) => void,
): Running<LaidPatterns> {
  return oneRun<BreakSolver, LaidPatterns>(start(), (solver) =>
    solver.patterns(asked, count, proxy(onShare)),
  );
}

/** How fast a recorded break was, in a thread of its own. @param sound one channel, −1…1, with its samples a second */
export function recordedSpeedOf(
  sound: { readonly samples: Float32Array; readonly rate: number },
  setting: SpeedSetting,
): Promise<SpeedTold> {
  return oneRun<BreakSolver, SpeedTold>(start(), (solver) => solver.speed(sound.samples, sound.rate, setting))
    .answer;
}
