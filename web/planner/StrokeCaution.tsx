import { Alert } from '@mantine/core';
import { toRadians } from '../../core/math/angle.ts';
import type { Strike } from '../../core/motion/shot.ts';

/** Strokes that can send a ball off the table: a butt raised so far, or a pace like a break. */
const STEEP_RAD = toRadians(25);
const FAST = 7;

interface StrokeCautionProps {
  readonly strike: Pick<Strike, 'speed' | 'elevation'>;
  /** A ball leaves the table as it is played. */
  readonly leaves: boolean;
}

/** A word of care where a stroke asks for it. */
export function StrokeCaution({ strike, leaves }: StrokeCautionProps) {
  if (!leaves && strike.speed < FAST && strike.elevation < STEEP_RAD) return null;
  return (
    <Alert color="coral" variant="outline" p="xs">
      {leaves ? 'A ball leaves the table. ' : 'A stroke like this can send a ball off the table. '}
      Clear the landing side, mind eyes and glass; some halls forbid it, and the house rules win.
    </Alert>
  );
}
