import { ASKED_LEAVES } from '../../counting/leaveGrade.ts';
import { array, lazy, object } from 'yup';
import { POCKET_NAMES } from '../../table/pockets.ts';
import { choice, count, finite, noneOf, text } from '../fields.ts';
import { orderSchema } from './order.ts';
import { CUSHION_SIDES, UNKNOWN } from './places.ts';

/** What is asked of the player. */
export const TASK_KINDS = [
  'position',
  'land',
  'clear',
  'break',
  'kick',
  'plant',
  'double',
  'safety',
  'call',
] as const;
export type TaskKind = (typeof TASK_KINDS)[number];

/** What a player is asked to foretell. */
export const QUESTIONS = [
  'in-off or not',
  'does it pass',
  'draw the path',
  'which suit',
  'which order',
  'how long is the window',
] as const;

const pocket = () => choice(POCKET_NAMES);
const kind = <const T extends TaskKind>(name: T) => choice([name]);

/** What has to be left for it to be done; left out, a kick may leave anything, and a safety has to leave nothing on. */
const leave = () => choice(ASKED_LEAVES).optional().default(undefined);

/** Pot a ball so that the cue ball comes to rest where the next one can be potted. */
const position = object({
  kind: kind('position'),
  pot: text(12),
  pocket: pocket(),
  next: object({ ball: text(12), pocket: pocket() }).exact(UNKNOWN),
}).exact(UNKNOWN);

/** Pot a ball, or none, so that the cue ball comes to rest in the drill's targets. */
const land = object({
  kind: kind('land'),
  pot: object({ ball: text(12), pocket: pocket() })
    .exact(UNKNOWN)
    .nullable()
    .defined('${path} is missing'),
}).exact(UNKNOWN);

/** Pot all balls, in an order. */
const clear = object({ kind: kind('clear'), order: orderSchema }).exact(UNKNOWN);

const breakShot = object({
  kind: kind('break'),
  /** The ball that is hit, by its place in the rack. */
  hit: choice(['head ball', 'second ball', 'edge of the pack']),
}).exact(UNKNOWN);

const kick = object({
  kind: kind('kick'),
  target: text(12),
  /** Cushions before the target, in their order; empty where the way is the player's to find. */
  cushions: array(choice(CUSHION_SIDES)).required('${path} is missing').max(4, '${path} has at most four'),
  leave: leave(),
}).exact(UNKNOWN);

/** Pot a ball by way of another. */
const plant = object({
  kind: kind('plant'),
  first: text(12),
  pot: text(12),
  pocket: pocket(),
}).exact(UNKNOWN);

/** Pot a ball by way of cushions. */
const double = object({
  kind: kind('double'),
  pot: text(12),
  pocket: pocket(),
  cushions: array(choice(CUSHION_SIDES))
    .required('${path} is missing')
    .min(1, '${path} needs at least one cushion')
    .max(2, '${path} has at most two'),
}).exact(UNKNOWN);

const safety = object({
  kind: kind('safety'),
  /** The ball to be met first. */
  target: text(12),
  aim: choice(['hide', 'far away', 'hold', 'contain', 'nothing on', 'shot to nothing']),
  leave: leave(),
}).exact(UNKNOWN);

const call = object({
  kind: kind('call'),
  question: choice(QUESTIONS),
  positions: count(1, 60),
  /** 0: plain to see, 1: close. */
  difficulty: finite().min(0, '${path} must be at least 0').max(1, '${path} must be at most 1'),
}).exact(UNKNOWN);

const SCHEMAS = { position, land, clear, break: breakShot, kick, plant, double, safety, call } as const;

function isKind(name: unknown): name is TaskKind {
  return TASK_KINDS.some((each) => each === name);
}

export const taskSchema = lazy((value: unknown) => {
  const name = typeof value === 'object' && value !== null && 'kind' in value ? value.kind : undefined;
  return isKind(name) ? SCHEMAS[name] : noneOf('kind', TASK_KINDS);
});
