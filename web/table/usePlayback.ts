import { useReducedMotion } from '@mantine/hooks';
import { useCallback, useEffect, useState } from 'react';
import type { PlannedShot } from '../../core/drill/plannedShot.ts';
import type { Point } from '../../core/math/point.ts';
import { positionAt } from '../../core/motion/path.ts';

/** How long the result stays before the balls go back, milliseconds. */
const HOLD_MS = 1_200;

function positionsAt(plan: PlannedShot, t: number): ReadonlyMap<string, Point | null> {
  const potted = new Map(
    plan.result.events.flatMap((event) => (event.kind === 'pocket' ? [[event.id, event.t] as const] : [])),
  );
  return new Map(
    (plan.result.paths ?? []).map((path) => [
      path.id,
      t >= (potted.get(path.id) ?? Infinity) ? null : positionAt(path, Math.min(t, plan.result.duration)),
    ]),
  );
}

/** Plays the planned stroke once in real time; with reduced motion only its end is shown for a moment. */
export function usePlayback(plan: PlannedShot | undefined) {
  const reduced = useReducedMotion();
  const [startedAt, setStartedAt] = useState<number>();
  const [positions, setPositions] = useState<ReadonlyMap<string, Point | null>>();

  useEffect(() => {
    if (plan === undefined || startedAt === undefined) return;
    let frame = 0;
    const duration = reduced ? 0 : plan.result.duration;
    const draw = () => {
      const t = (performance.now() - startedAt) / 1000;
      if (t > duration + HOLD_MS / 1000) {
        setPositions(undefined);
        setStartedAt(undefined);
        return;
      }
      setPositions(positionsAt(plan, reduced ? plan.result.duration : t));
      frame = requestAnimationFrame(draw);
    };
    frame = requestAnimationFrame(draw);
    return () => cancelAnimationFrame(frame);
  }, [plan, startedAt, reduced]);

  const play = useCallback(() => setStartedAt(performance.now()), []);
  return { positions, play };
}
