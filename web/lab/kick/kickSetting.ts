import { LEVEL_NAMES, type LevelName } from '../../../core/player/levels.ts';
import type { KickWish } from '../../../core/shot/kicks/kickLines.ts';
import { CUE } from '../../table/labShot.ts';

/** Sides of the ball that may be asked for. */
export const HIT_SIDES = ['either', 'left', 'right'] as const;
export type HitSide = (typeof HIT_SIDES)[number];
/** Cushions before the ball, at most, as they stand in the address. */
export const MOST_CUSHIONS = ['0', '1', '2', '3', '4'] as const;

/** What is asked of a kick: all of it stands in the address. */
export interface KickSetting {
  readonly target: string;
  readonly side: HitSide;
  readonly cushions: (typeof MOST_CUSHIONS)[number];
  readonly level: LevelName;
}

/** The setting that an address names; what it does not say, or says of balls that are not there, is the usual. */
export function kickSettingFrom(params: URLSearchParams, balls: readonly string[]): KickSetting {
  const ids = balls.filter((id) => id !== CUE);
  return {
    target: ids.find((id) => id === params.get('target')) ?? ids[0] ?? '',
    side: HIT_SIDES.find((side) => side === params.get('side')) ?? 'either',
    cushions: MOST_CUSHIONS.find((most) => most === params.get('cushions')) ?? '3',
    level: LEVEL_NAMES.find((level) => level === params.get('level')) ?? 'team',
  };
}

export function wishOf({ target, side, cushions }: KickSetting): KickWish {
  return {
    targets: [target],
    side: side === 'either' ? undefined : side,
    mostCushions: Number(cushions),
  };
}
