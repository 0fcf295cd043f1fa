import { useEffect, useRef, useState } from 'react';
import { useViewer } from '../../../api/viewer.ts';
import { useKept } from '../../../controls/useKept.ts';

const KEY = 'jolly-camera-by-itself';
/** Whoever sees that it is wrong has so long to say so, ms. */
const WAIT_MS = 3_000;

const readFlag = (value: unknown) => (typeof value === 'boolean' ? value : undefined);

/** Entering by itself what a camera is sure of, where a coach switched that on for this device. */
export interface ByItself {
  /** Only a coach may switch it on. */
  readonly isAllowed: boolean;
  readonly isOn: boolean;
  readonly setOn: (isOn: boolean) => void;
  /** What is offered is entered in a moment. */
  readonly isComing: boolean;
  /** Leaves what is offered to a tap. */
  readonly hold: () => void;
}

/**
 * Enters what is offered after a moment in which it can be held.
 * @param offer what would be entered, the same object as long as it is the same; undefined while nothing is, or while it is asked about
 * @param turn another one for each shot: what was held is held for this one
 */
export function useByItself<T extends object>(
  offer: T | undefined,
  turn: number,
  enter: (offer: T) => void,
): ByItself {
  const isAllowed = useViewer().role === 'coach';
  const [kept, keep] = useKept(KEY, readFlag);
  const [held, setHeld] = useState<number>();
  const isOn = isAllowed && kept === true;
  const coming = isOn && held !== turn ? offer : undefined;
  const entering = useRef(enter);
  useEffect(() => {
    entering.current = enter;
  });
  useEffect(() => {
    if (coming === undefined) return;
    const timer = setTimeout(() => {
      // Once: what stays on offer afterwards is for a tap.
      setHeld(turn);
      entering.current(coming);
    }, WAIT_MS);
    return () => clearTimeout(timer);
  }, [coming, turn]);
  return {
    isAllowed,
    isOn,
    setOn: (next) => keep(next ? true : undefined),
    isComing: coming !== undefined,
    hold: () => setHeld(turn),
  };
}
