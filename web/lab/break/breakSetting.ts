import { LEVEL_NAMES, type LevelName } from '../../../core/player/levels.ts';
import type { RackKind } from '../../../core/rack/rack.ts';
import { RACKERS, type Racker } from '../../../core/rack/rackers.ts';
import { clothLinesOf } from '../../../core/table/markings.ts';
import type { TablePreset } from '../../../core/table/preset.ts';
import type { Point } from '../../../core/math/point.ts';
import type { BreakStroke } from '../../../core/virtual/breaks/breakShot.ts';
import type { BreakStudy } from '../../../core/virtual/breaks/breakStudy.ts';
import { wingPlaces } from '../../../core/virtual/breaks/wingBall.ts';

/** Racks that a table has a place for, the usual one first. */
export function racksOn({ markings }: TablePreset): readonly RackKind[] {
  if (markings === 'colours') return ['reds'];
  return markings === 'baulk' ? ['eight on the spot'] : ['nine', 'eight'];
}

/** What stands in the address. */
export interface BreakSetting {
  readonly kind: RackKind;
  readonly racker: Racker;
  readonly level: LevelName;
}

/** The setting that an address names; what it does not say, or what this table cannot have, is the usual. */
export function breakSettingFrom(params: URLSearchParams, preset: TablePreset): BreakSetting {
  const kinds = racksOn(preset);
  return {
    kind: kinds.find((kind) => kind === params.get('rack')) ?? kinds[0] ?? 'nine',
    racker: RACKERS.find((racker) => racker === params.get('racker')) ?? 'template',
    level: LEVEL_NAMES.find((level) => level === params.get('level')) ?? 'team',
  };
}

/** The break that the bench begins with: from near the side at pool, off the last red at snooker. */
export function firstBreak(preset: TablePreset, kind: RackKind): BreakStroke {
  const { acrossAt, dRadius } = clothLinesOf(preset);
  const plain = { tip: { side: 0, height: 0 }, elevation: 0 };
  if (kind === 'reds') {
    const from = { x: acrossAt, y: preset.width / 2 + 0.6 * (dRadius ?? 0.2) };
    // Side that runs on at the cushions brings the cue ball back.
    return { ...plain, tip: { side: -0.3, height: 0 }, from, at: 14, covered: 0.4, past: 'left', speed: 2.6 };
  }
  const from = { x: acrossAt, y: 0.12 };
  return { ...plain, from, at: 0, covered: 1, past: 'left', speed: 6.5 };
}

/** Balls that a break may aim at: those in front, and at snooker the ends of the last row. */
export function aimsOf(kind: RackKind): readonly number[] {
  return kind === 'reds' ? [0, 10, 14] : [0, 1, 2];
}

/** Balls whose rests can be shown. */
const SHOWN = ['cue ball', 'head ball', 'wing ball on your side', 'wing ball on the other side'] as const;
export type ShownRests = (typeof SHOWN)[number];

/** The balls of a rack whose rests can be shown; of reds the cue ball and the head of the pack. */
export function placesToShow(kind: RackKind): readonly ShownRests[] {
  return kind === 'reds' ? SHOWN.slice(0, 2) : SHOWN;
}

/** Where a ball came to rest in the breaks of a study. @param isRight the breaker stands on the right half of the table */
export function restsOf(
  study: BreakStudy,
  shown: ShownRests,
  kind: RackKind,
  isRight: boolean,
): readonly Point[] {
  if (shown === 'cue ball') return study.cueRests;
  const [right, left] = wingPlaces(kind);
  const place = shown === 'head ball' ? 0 : (shown === 'wing ball on your side') === isRight ? right : left;
  return study.played.flatMap(({ rests }) => rests[place] ?? []);
}
