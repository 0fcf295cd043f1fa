import { array, lazy, object } from 'yup';
import { choice, count, finite, noneOf, text } from '../fields.ts';
import { CUSHION_SIDES, placeSchema, UNKNOWN } from './places.ts';

/**
 * What is to be met besides the window of the next ball. Rings, rectangles, polygons and stretches of a way are places
 * in which the cue ball should stop; a stretch of cushion is to be touched, a ball to be met at a thickness.
 */
export const TARGET_KINDS = ['rings', 'rectangle', 'polygon', 'way', 'cushion', 'thickness'] as const;
type TargetKind = (typeof TARGET_KINDS)[number];

const kind = <const T extends TargetKind>(name: T) => choice([name]);
const points = () => count(1, 100);
const share = () => finite().min(0, '${path} must be at least 0').max(1, '${path} must be at most 1');
/** A place as shares of the table. */
const corner = () =>
  object({ along: share(), across: share() }).exact(UNKNOWN).required('${path} is missing');

const rings = object({
  kind: kind('rings'),
  at: placeSchema,
  /** From the innermost out: radius in widths of the object ball, and what it earns. */
  rings: array(
    object({
      radius: finite().min(0.25, '${path} must be at least 0.25').max(30, '${path} must be at most 30'),
      points: points(),
    }).exact(UNKNOWN),
  )
    .required('${path} is missing')
    .min(1, '${path} needs at least one ring')
    .max(5, '${path} has at most five rings')
    .test('growing', '${path} must grow in radius and fall in points', (list) =>
      list.every((ring, i) => {
        const before = list[i - 1];
        return before === undefined || (ring.radius > before.radius && ring.points < before.points);
      }),
    ),
}).exact(UNKNOWN);

const rectangle = object({
  kind: kind('rectangle'),
  from: corner(),
  to: corner(),
  points: points(),
}).exact(UNKNOWN);

const polygon = object({
  kind: kind('polygon'),
  corners: array(corner())
    .required('${path} is missing')
    .min(3, '${path} needs at least three corners')
    .max(12, '${path} has at most twelve corners'),
  points: points(),
}).exact(UNKNOWN);

/** A stretch of the cue ball's way, with room to both sides in widths of the object ball. */
const way = object({
  kind: kind('way'),
  from: corner(),
  to: corner(),
  room: finite().min(0.25, '${path} must be at least 0.25').max(10, '${path} must be at most 10'),
  points: points(),
}).exact(UNKNOWN);

const cushion = object({
  kind: kind('cushion'),
  side: choice(CUSHION_SIDES),
  /** Shares of the side, along the table from the head end or across it from the right-hand side. */
  from: share(),
  to: share(),
}).exact(UNKNOWN);

const thickness = object({
  kind: kind('thickness'),
  ball: text(12),
  /** Shares of the ball that the cue ball covers: 0 misses, 1 is full. */
  from: share(),
  to: share(),
}).exact(UNKNOWN);

const SCHEMAS = { rings, rectangle, polygon, way, cushion, thickness } as const;

function isKind(name: unknown): name is TargetKind {
  return TARGET_KINDS.some((each) => each === name);
}

const targetSchema = lazy((value: unknown) => {
  const name = typeof value === 'object' && value !== null && 'kind' in value ? value.kind : undefined;
  return isKind(name) ? SCHEMAS[name].required('${path} is missing') : noneOf('kind', TARGET_KINDS);
});

export const targetsSchema = array(targetSchema)
  .required('${path} is missing')
  .max(8, '${path} has at most eight targets');
