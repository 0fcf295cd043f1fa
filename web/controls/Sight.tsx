import { colour, type ColourName } from '../theme.ts';

interface SightProps {
  readonly size?: number;
  readonly fill?: ColourName;
}

/** The diamond of a rail, our mark for a place, a round and a room. */
export function Sight({ size = 18, fill }: SightProps) {
  return (
    <svg width={size * 0.62} height={size} viewBox="0 0 12 20" aria-hidden>
      <path
        className="sight"
        d="M6 1L11 10L6 19L1 10Z"
        {...(fill === undefined ? {} : { fill: colour(fill), stroke: colour('ink'), strokeWidth: 1.2 })}
      />
    </svg>
  );
}
