import type { PocketName } from '../../table/pockets.ts';

/** A ball at a step of an order, from 0 on. */
export interface BallAtStep {
  readonly step: number;
  readonly ball: string;
}

/** What somebody wants of an order beside its rules: a plan that keeps to it says what that costs. */
export interface OrderWishes {
  /** Balls that are played at a step and at no other one. */
  readonly locked: readonly BallAtStep[];
  /** Balls that are not played at a step. */
  readonly forbidden: readonly BallAtStep[];
  /** The only pocket in which a ball is played. */
  readonly pockets: readonly { readonly ball: string; readonly pocket: PocketName }[];
}

export const NO_WISHES: OrderWishes = { locked: [], forbidden: [], pockets: [] };

/**
 * What wishes leave of the balls that the rules allow at a step. A wish for a ball that fell by luck before its step is
 * past.
 */
export function leftByWishes(
  { locked, forbidden }: OrderWishes,
  step: number,
  legal: readonly string[],
  onTable: readonly string[],
): readonly string[] {
  const has = (list: readonly BallAtStep[], ball: string) =>
    list.some((each) => each.step === step && each.ball === ball);
  const isDue = locked.some((each) => each.step === step && onTable.includes(each.ball));
  return legal.filter((ball) => {
    if (has(forbidden, ball)) return false;
    if (isDue) return has(locked, ball);
    return !locked.some((each) => each.ball === ball && each.step > step);
  });
}

/** Wishes for an order from its first ball on: each ball is locked to its place. */
export function listedWishes(balls: readonly string[]): OrderWishes {
  return { ...NO_WISHES, locked: balls.map((ball, step) => ({ ball, step })) };
}

export function hasWishes({ locked, forbidden, pockets }: OrderWishes): boolean {
  return locked.length + forbidden.length + pockets.length > 0;
}
