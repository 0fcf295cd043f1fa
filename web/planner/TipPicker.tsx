import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { Tip } from '../../core/motion/shot.ts';
import { MISCUE_OFFSET } from '../../core/motion/strike.ts';
import { tipWords } from '../words/tipWords.ts';
import { colour } from '../theme.ts';

interface TipPickerProps {
  readonly tip: Tip;
  readonly onChange: (tip: Tip, sameStep: boolean) => void;
}

const STEP = 0.05;

/** The nearest place on the ball that the tip can take without slipping off. */
function held({ side, height }: Tip): Tip {
  const offset = Math.hypot(side, height);
  const scale = offset > MISCUE_OFFSET ? MISCUE_OFFSET / offset : 1;
  const round = (value: number) => Math.round(value * scale * 1000) / 1000;
  return { side: round(side), height: round(height) };
}

/** Where the tip meets the cue ball, on a picture of it: by drag, or with the arrow keys. */
export function TipPicker({ tip, onChange }: TipPickerProps) {
  const dragging = useRef(false);
  function place(event: PointerEvent<SVGSVGElement>, sameStep: boolean) {
    const box = event.currentTarget.getBoundingClientRect();
    const side = ((event.clientX - box.left) / box.width) * 2.2 - 1.1;
    const height = 1.1 - ((event.clientY - box.top) / box.height) * 2.2;
    onChange(held({ side, height }), sameStep);
  }
  function key(event: KeyboardEvent) {
    const move = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key];
    if (move === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    const step = event.shiftKey ? 2 * STEP : event.altKey ? STEP / 5 : STEP;
    onChange(
      held({ side: tip.side + (move[0] ?? 0) * step, height: tip.height + (move[1] ?? 0) * step }),
      false,
    );
  }
  return (
    <svg
      viewBox="-1.1 -1.1 2.2 2.2"
      width={132}
      height={132}
      className="tip-picker"
      role="slider"
      tabIndex={0}
      aria-label="Tip on the cue ball"
      aria-valuemin={0}
      aria-valuemax={MISCUE_OFFSET}
      aria-valuenow={Math.hypot(tip.side, tip.height)}
      aria-valuetext={tipWords(tip)}
      onKeyDown={key}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        dragging.current = true;
        place(event, false);
      }}
      onPointerMove={(event) => dragging.current && place(event, true)}
      onPointerUp={() => (dragging.current = false)}
    >
      <circle r={1} fill="#FFFFFF" stroke={colour('ink')} strokeWidth={0.03} />
      <circle r={MISCUE_OFFSET} fill="none" stroke="#8B8D99" strokeWidth={0.02} strokeDasharray="0.06 0.05" />
      <path d="M-1 0H1M0 -1V1" stroke="#B7B8C0" strokeWidth={0.015} />
      <path
        d="M0 -0.15L0.1 0L0 0.15L-0.1 0Z"
        transform={`translate(${tip.side} ${-tip.height})`}
        fill={colour('coral')}
        stroke="#23263A"
        strokeWidth={0.03}
      />
    </svg>
  );
}
