import type { Point } from '../../core/math/point.ts';
import type { BallPath } from '../../core/motion/shot.ts';
import { samplePath } from '../../core/motion/path.ts';
import { BALL_COLOURS, colour, TEXT_FONT } from '../theme.ts';
import { useProjection } from './context.ts';
import { pathText } from './projection.ts';

/** Sizes of text and marks follow the drawing's size, so that they look alike on every table. */
function useUnit(): number {
  const { width, height } = useProjection();
  return Math.max(width, height) / 1000;
}

interface BallMarkProps {
  readonly id: string;
  readonly at: Point;
  /** Written beside the ball; nothing beside the cue ball. */
  readonly name?: string;
  /** Metres; the object balls' when left out. */
  readonly radius?: number;
  /** The ball in hand. */
  readonly selected?: boolean;
}

/** Numbers of one colour, then the 8, then those with a band. */
const SOLIDS = 7;

function ballColour(id: string): string {
  return BALL_COLOURS[id] ?? BALL_COLOURS[id.split(' ')[0] ?? ''] ?? colour('muted');
}

/** A band across the middle of a ball, half a radius either way. */
function bandPath(x: number, y: number, r: number): string {
  const [w, h] = [r * Math.sqrt(0.75), r / 2];
  return `M${x - w} ${y - h}L${x + w} ${y - h}A${r} ${r} 0 0 1 ${x + w} ${y + h}L${x - w} ${y + h}A${r} ${r} 0 0 1 ${x - w} ${y - h}Z`;
}

/** A ball to scale, its number or name beside it. */
export function BallMark({ id, at, name, radius: metres, selected = false }: BallMarkProps) {
  const projection = useProjection();
  const unit = useUnit();
  const [x, y] = projection.toDrawing(at);
  const radius = 1000 * (metres ?? projection.table.preset.ballRadius);
  const striped = Number(id) > SOLIDS + 1;
  return (
    <g>
      {selected && (
        <circle
          cx={x}
          cy={y}
          r={radius + 9 * unit}
          fill="none"
          stroke={colour('coral')}
          strokeWidth={2 * unit}
          strokeDasharray={`${4 * unit} ${3 * unit}`}
        />
      )}
      <circle
        cx={x}
        cy={y}
        r={radius}
        fill={striped ? BALL_COLOURS['cue'] : ballColour(id)}
        stroke={colour('ink')}
        strokeWidth={4}
      />
      {striped && <path d={bandPath(x, y, radius)} fill={ballColour(String(Number(id) - SOLIDS - 1))} />}
      {name !== undefined && (
        <Halo x={x + radius + 4 * unit} y={y - radius * 0.6} size={19 * unit} text={name} bold />
      )}
    </g>
  );
}

interface HaloProps {
  readonly x: number;
  readonly y: number;
  readonly size: number;
  readonly text: string;
  readonly bold?: boolean;
  readonly middle?: boolean;
}

/** Text that stays readable over lines. */
export function Halo({ x, y, size, text, bold = false, middle = false }: HaloProps) {
  return (
    <text
      x={x}
      y={y}
      fontSize={size}
      fontFamily={TEXT_FONT}
      fontWeight={bold ? 700 : 400}
      textAnchor={middle ? 'middle' : 'start'}
      fill={colour('ink')}
      stroke={colour('cloth')}
      strokeWidth={size / 4}
      paintOrder="stroke"
    >
      {text}
    </text>
  );
}

interface PathMarkProps {
  readonly path: BallPath;
  readonly duration: number;
  readonly kind: 'cue' | 'object';
  /** The path of another stroke, kept to compare: thinner and paler. */
  readonly kept?: boolean;
}

/** Where a ball goes: the cue ball's way solid, an object ball's dotted. */
export function PathMark({ path, duration, kind, kept = false }: PathMarkProps) {
  const projection = useProjection();
  const unit = useUnit();
  return (
    <path
      d={pathText(projection, samplePath(path, duration))}
      fill="none"
      stroke={kind === 'cue' ? colour('indigo') : colour('ink')}
      strokeWidth={(kind === 'cue' ? 3.4 : 2.6) * (kept ? 0.6 : 1) * unit}
      opacity={kept ? 0.55 : undefined}
      strokeDasharray={kind === 'cue' ? undefined : `${0.1 * unit} ${6 * unit}`}
      strokeLinecap="round"
      strokeLinejoin="round"
    />
  );
}

/** The wanted landing: an open diamond. */
export function WantedMark({ at }: { readonly at: Point }) {
  const projection = useProjection();
  const unit = useUnit();
  const [x, y] = projection.toDrawing(at);
  const [w, h] = [8 * unit, 12 * unit];
  return (
    <path
      d={`M${x} ${y - h}L${x + w} ${y}L${x} ${y + h}L${x - w} ${y}Z`}
      fill="none"
      stroke={colour('indigo')}
      strokeWidth={2.6 * unit}
    />
  );
}

interface LandingMarkProps {
  readonly at: Point;
  readonly ordinal?: number;
  /** The one just made, or under the cursor. */
  readonly strong?: boolean;
}

/** Where the cue ball stopped: a cross with the shot's number. */
export function LandingMark({ at, ordinal, strong = false }: LandingMarkProps) {
  const projection = useProjection();
  const unit = useUnit();
  const [x, y] = projection.toDrawing(at);
  const arm = (strong ? 9 : 6) * unit;
  return (
    <g>
      <path
        d={`M${x - arm} ${y}H${x + arm}M${x} ${y - arm}V${y + arm}`}
        stroke={strong ? colour('coral') : colour('ink')}
        strokeWidth={(strong ? 3.4 : 2.2) * unit}
      />
      {ordinal !== undefined && (
        <Halo x={x + 7 * unit} y={y - 6 * unit} size={13 * unit} text={String(ordinal)} />
      )}
    </g>
  );
}

interface ErrorArrowProps {
  readonly from: Point;
  readonly to: Point;
}

/** The mean error: an arrow from the wanted landing to the middle of the landings. */
export function ErrorArrow({ from, to }: ErrorArrowProps) {
  const projection = useProjection();
  const unit = useUnit();
  const [x, y] = projection.toDrawing(to);
  return (
    <g stroke={colour('coral')} fill={colour('coral')}>
      <path d={pathText(projection, [from, to])} strokeWidth={4 * unit} />
      <circle cx={x} cy={y} r={5 * unit} stroke="none" />
    </g>
  );
}

/** One of many rests: a small dot. */
export function DotMark({ at }: { readonly at: Point }) {
  const projection = useProjection();
  const unit = useUnit();
  const [x, y] = projection.toDrawing(at);
  return <circle cx={x} cy={y} r={4 * unit} fill={colour('indigo')} opacity={0.5} />;
}

/** Where a ball comes to lie: an open ring of its size. */
export function GhostMark({ at, radius }: { readonly at: Point; readonly radius: number }) {
  const projection = useProjection();
  const unit = useUnit();
  const [x, y] = projection.toDrawing(at);
  return (
    <circle
      cx={x}
      cy={y}
      r={1000 * radius}
      fill="none"
      stroke={colour('ink')}
      strokeWidth={2 * unit}
      strokeDasharray={`${5 * unit} ${3 * unit}`}
    />
  );
}

interface AimMarkProps {
  readonly from: Point;
  readonly to: Point;
}

/** The line of aim: from the cue ball to the handle by which it is turned. */
export function AimMark({ from, to }: AimMarkProps) {
  const projection = useProjection();
  const unit = useUnit();
  const [x, y] = projection.toDrawing(to);
  return (
    <g stroke={colour('coral')} strokeWidth={1.8 * unit} fill={colour('surface')}>
      <path d={pathText(projection, [from, to])} strokeDasharray={`${7 * unit} ${4 * unit}`} />
      <circle cx={x} cy={y} r={9 * unit} />
    </g>
  );
}

/** Where a ball meets another or a cushion: a small open ring. */
export function ContactMark({ at }: { readonly at: Point }) {
  const projection = useProjection();
  const unit = useUnit();
  const [x, y] = projection.toDrawing(at);
  return <circle cx={x} cy={y} r={4 * unit} fill="none" stroke={colour('coral')} strokeWidth={1.6 * unit} />;
}
