import { useDrag } from '@use-gesture/react';
import { useState, type KeyboardEvent, type MouseEvent } from 'react';
import type { Pixel, PictureSize } from '../../../core/photo/camera.ts';

/** Something in the picture that is dragged. */
export interface Handle {
  readonly key: string;
  /** Read out, and beside it. */
  readonly label: string;
  readonly short: string;
  readonly pixel: Pixel;
  readonly kind: 'corner' | 'mark' | 'ball';
}

interface PictureMarksProps {
  readonly url: string;
  readonly size: PictureSize;
  readonly handles: readonly Handle[];
  /** The edges of the cushions as the camera sees them. */
  readonly edges: readonly Pixel[];
  readonly selected: string | undefined;
  readonly onSelect: (key: string) => void;
  readonly onMove: (key: string, to: Pixel) => void;
  /** A tap beside every handle. */
  readonly onTap: (at: Pixel) => void;
}

/** Of the picture's longer side: the handle, a finger's reach, and the round glass with what it makes larger. */
const SIZES = { handle: 0.011, grip: 0.03, glass: 0.13, larger: 4 } as const;
const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const FAR = 10;

/** A picture with its marks: each is dragged, or moved by the arrow keys, under a glass that makes it larger. */
export function PictureMarks({
  url,
  size,
  handles,
  edges,
  selected,
  onSelect,
  onMove,
  onTap,
}: PictureMarksProps) {
  const longer = Math.max(size.width, size.height);
  const [held, setHeld] = useState<string>();
  const chosen = handles.find(({ key }) => key === held);
  const pixelOf = (target: EventTarget | null, x: number, y: number): Pixel | undefined => {
    const svg = target instanceof SVGElement ? (target.ownerSVGElement ?? target) : null;
    const matrix = svg instanceof SVGSVGElement ? svg.getScreenCTM() : null;
    if (matrix === null) return undefined;
    const at = new DOMPoint(x, y).matrixTransform(matrix.inverse());
    return {
      across: Math.min(size.width, Math.max(0, at.x)),
      down: Math.min(size.height, Math.max(0, at.y)),
    };
  };
  const drag = useDrag(
    ({ args: [key], first, last, xy: [x, y], movement: [dx, dy], currentTarget }) => {
      if (typeof key !== 'string') return;
      if (first) {
        setHeld(key);
        onSelect(key);
      }
      const at = pixelOf(currentTarget, x, y);
      if (at !== undefined && Math.hypot(dx, dy) > 0) onMove(key, at);
      if (last) setHeld(undefined);
    },
    { pointer: { keys: false } },
  );
  const onKey = (handle: Handle) => (event: KeyboardEvent) => {
    const step = ARROWS[event.key];
    if (step === undefined) return;
    event.preventDefault();
    setHeld(handle.key);
    const by = event.shiftKey ? FAR : 1;
    onMove(handle.key, {
      across: handle.pixel.across + by * step[0],
      down: handle.pixel.down + by * step[1],
    });
  };
  const tap = (event: MouseEvent<SVGSVGElement>) => {
    if (event.target instanceof Element && event.target.closest('[data-handle]') !== null) return;
    const at = pixelOf(event.currentTarget, event.clientX, event.clientY);
    if (at !== undefined) onTap(at);
  };
  return (
    <svg
      className="photo-marks"
      viewBox={`0 0 ${size.width} ${size.height}`}
      role="group"
      aria-label="The picture with its marks"
      onClick={tap}
    >
      <image href={url} width={size.width} height={size.height} />
      <Edges edges={edges} width={longer / 500} />
      {handles.map((handle) => (
        <g
          key={handle.key}
          data-handle
          role="button"
          tabIndex={0}
          aria-label={handle.label}
          aria-pressed={handle.key === selected}
          transform={`translate(${handle.pixel.across} ${handle.pixel.down})`}
          onFocus={() => onSelect(handle.key)}
          onKeyDown={onKey(handle)}
          onBlur={() => setHeld(undefined)}
          className={`photo-handle photo-${handle.kind}`}
          {...drag(handle.key)}
        >
          <circle r={SIZES.grip * longer} fill="transparent" />
          <circle r={SIZES.handle * longer} className="photo-ring" strokeWidth={longer / 400} />
          <text x={1.4 * SIZES.handle * longer} y={-SIZES.handle * longer} fontSize={longer / 55}>
            {handle.short}
          </text>
        </g>
      ))}
      {chosen !== undefined && <Glass url={url} size={size} at={chosen.pixel} edges={edges} />}
    </svg>
  );
}

function Edges({ edges, width }: { readonly edges: readonly Pixel[]; readonly width: number }) {
  if (edges.length === 0) return null;
  const points = edges.map(({ across, down }) => `${across},${down}`).join(' ');
  return <polygon points={points} className="photo-edges" strokeWidth={width} />;
}

/** What lies under the finger, larger, in the corner of the picture that is farthest away. */
function Glass({
  url,
  size,
  at,
  edges,
}: {
  readonly url: string;
  readonly size: PictureSize;
  readonly at: Pixel;
  readonly edges: readonly Pixel[];
}) {
  const longer = Math.max(size.width, size.height);
  const radius = SIZES.glass * longer;
  const [x, y] = [
    at.across < size.width / 2 ? size.width - radius : radius,
    at.down < size.height / 2 ? size.height - radius : radius,
  ];
  return (
    <g aria-hidden pointerEvents="none" transform={`translate(${x} ${y})`}>
      <clipPath id="photo-glass">
        <circle r={radius} />
      </clipPath>
      <g clipPath="url(#photo-glass)">
        <g transform={`scale(${SIZES.larger}) translate(${-at.across} ${-at.down})`}>
          <image href={url} width={size.width} height={size.height} />
          <Edges edges={edges} width={longer / 1500} />
        </g>
      </g>
      <circle r={radius} className="photo-ring" strokeWidth={longer / 300} />
      <path
        d={`M ${-radius / 3} 0 H ${radius / 3} M 0 ${-radius / 3} V ${radius / 3}`}
        className="photo-cross"
        strokeWidth={longer / 600}
      />
    </g>
  );
}
