import { CUE_BALL } from '../drill/layout.ts';
import { NO_WISHES, type OrderWishes } from '../planning/order/wishes.ts';
import type { ShotRules } from '../planning/order/shotTable.ts';
import type { Condition } from '../records/drill.ts';
import { brokenConditions } from './choosePot.ts';

/** What a plan has to keep of each shot, by a drill's conditions and by wishes. */
export function shotRulesOf(
  conditions: readonly Condition[],
  { pockets }: OrderWishes = NO_WISHES,
): ShotRules & { readonly cushionFirst: boolean } {
  return {
    noRest: conditions.includes('no rest'),
    cushionFirst: conditions.includes('cushion first'),
    ...(pockets.length > 0 && { pockets: new Map(pockets.map(({ ball, pocket }) => [ball, pocket])) }),
    ...(conditions.length > 0 && {
      allowed: (result, { ball, pocket }) =>
        brokenConditions(conditions, result, { cue: CUE_BALL, object: ball, pocket, lastPocket: undefined })
          .length === 0,
    }),
  };
}
