import { useReducedMotion } from '@mantine/hooks';
import { useCallback, useEffect, useMemo } from 'react';
import type { PlannedShot } from '../../core/drill/plannedShot.ts';
import type { Point } from '../../core/math/point.ts';
import { placesAt } from './placeOf.ts';
import { useReplay, useReplayed } from './replay.ts';

/** How long the result stays before the balls go back, milliseconds. */
const HOLD_MS = 1_200;

/** Plays the planned stroke once in real time; with reduced motion only its end is shown for a moment. */
export function usePlayback(plan: Pick<PlannedShot, 'shot' | 'result'> | undefined) {
  const reduced = useReducedMotion();
  const duration = plan?.result.duration ?? 0;
  const replay = useReplay(duration);
  const t = useReplayed(replay, (each) => each.time());
  const over = t !== undefined && t >= duration;

  // Another plan is another stroke: its balls stand where they are set.
  useEffect(() => () => replay.reset(), [replay, plan]);
  useEffect(() => {
    if (!over) return;
    const timer = setTimeout(() => replay.reset(), HOLD_MS);
    return () => clearTimeout(timer);
  }, [replay, over]);

  const positions = useMemo((): ReadonlyMap<string, Point | null> | undefined => {
    if (plan === undefined || t === undefined) return undefined;
    const placeOf = placesAt(plan.result, t);
    return new Map(plan.shot.balls.map((ball) => [ball.id, placeOf(ball.id, ball) ?? null]));
  }, [plan, t]);
  const play = useCallback(() => {
    if (reduced) replay.seek(duration);
    else replay.play();
  }, [replay, reduced, duration]);
  return { positions, play };
}
