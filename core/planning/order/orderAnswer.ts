import type { BlockedBall, OrderPlan } from './orderPlan.ts';

/** What a question for an order comes to: a plan, rough at first; or why there is none. */
export type OrderAnswer =
  | { readonly kind: 'plan'; readonly plan: OrderPlan; readonly rough: boolean }
  | { readonly kind: 'none'; readonly blocked: readonly BlockedBall[] }
  | { readonly kind: 'too many' };
