import { useState } from 'react';
import { hasWishes, NO_WISHES, type OrderWishes } from '../../../core/planning/order/wishes.ts';
import { useOrderPlan, type OrderPlanning } from '../../planner/order/useOrderPlan.ts';
import type { OrderAsked, OrderTold } from '../../workers/orderProtocol.ts';

/** Whose order is looked at: the computed one, one's own by wishes, or one that was kept as somebody's. */
export const VIEWS = ['plan', 'own', 'coach', 'student'] as const;
export type OrderView = (typeof VIEWS)[number];
export type KeptAs = Extract<OrderView, 'coach' | 'student'>;

/** A plan that was found. */
export type FoundPlan = Extract<OrderTold, { readonly kind: 'plan' }>['plan'];

export function planIn({ answer }: OrderPlanning): FoundPlan | undefined {
  return answer?.kind === 'plan' ? answer.plan : undefined;
}

/** An order that was kept, of a table as it lay then. */
interface KeptOrder {
  readonly key: string;
  readonly answer: OrderTold;
}

/** The orders of a table side by side. @param key tells tables apart; undefined plans nothing */
export function useOrders(
  key: string | undefined,
  asked: Omit<OrderAsked, 'wishes'>,
  ids: readonly string[],
) {
  const [wanted, setWanted] = useState(NO_WISHES);
  const [view, setView] = useState<OrderView>('plan');
  const [kept, setKept] = useState<Partial<Record<KeptAs, KeptOrder>>>({});
  const wishes = wishesFor(wanted, ids);
  const wished = hasWishes(wishes);
  const free = useOrderPlan(key, { ...asked, wishes: NO_WISHES });
  const ownKey = key === undefined || !wished ? undefined : `${key} ${JSON.stringify(wishes)}`;
  const own = useOrderPlan(ownKey, { ...asked, wishes });

  const there = (name: KeptAs): OrderPlanning | undefined => {
    const order = kept[name];
    if (order === undefined || order.key !== key) return undefined;
    return { answer: order.answer, running: false, failed: undefined, stop: () => undefined };
  };
  const plannings: Readonly<Record<OrderView, OrderPlanning | undefined>> = {
    plan: free,
    own: wished ? own : undefined,
    coach: there('coach'),
    student: there('student'),
  };
  const seen = plannings[view] === undefined ? 'plan' : view;
  return {
    wishes,
    plannings,
    view: seen,
    planning: plannings[seen] ?? free,
    setView,
    wish: (next: OrderWishes) => {
      setWanted(next);
      setView(hasWishes(next) ? 'own' : 'plan');
    },
    keepAs: (name: KeptAs) => {
      const { answer } = own;
      if (answer === undefined || key === undefined) return;
      setKept((all) => ({ ...all, [name]: { key, answer } }));
      setWanted(NO_WISHES);
      setView(name);
    },
  };
}

/** Wishes for balls that are there. */
function wishesFor({ locked, forbidden, pockets }: OrderWishes, ids: readonly string[]): OrderWishes {
  const isThere = ({ ball }: { readonly ball: string }) => ids.includes(ball);
  return {
    locked: locked.filter(isThere),
    forbidden: forbidden.filter(isThere),
    pockets: pockets.filter(isThere),
  };
}
