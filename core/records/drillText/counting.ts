import { array, lazy, mixed, number, object } from 'yup';
import { LEVEL_NAMES } from '../../player/levels.ts';
import { choice, count, finite, noneOf } from '../fields.ts';
import { UNKNOWN } from './places.ts';

/** How a drill is counted: one of these, with its settings. */
export const COUNTING_METHODS = [
  'attempts-to-clear',
  'balls-made',
  'lives',
  'ladder-by-racks',
  'ladder-by-single',
  'clear-or-restart',
  'break-points',
  'zone-points',
  'graded-contact',
  'success-rate',
  'kick',
  'break-score',
  'call-it',
  'streak',
] as const;
export type CountingMethodName = (typeof COUNTING_METHODS)[number];

const counts = () =>
  array(count(1, 22))
    .required('${path} is missing')
    .min(1, '${path} needs at least one')
    .max(22, '${path} has at most 22')
    .test('growing', '${path} must grow', (list) =>
      list.every((value, i) => i === 0 || value > (list[i - 1] ?? 0)),
    );
const weight = () => finite().min(0, '${path} must be at least 0').max(20, '${path} must be at most 20');
const method = <const T extends CountingMethodName>(name: T) => choice([name]);
const attempts = () => count(1, 100);

const SCHEMAS = {
  'attempts-to-clear': object({
    method: method('attempts-to-clear'),
    giveUpAfter: number().strict().integer().min(1).max(50).nullable().defined('${path} is missing'),
  }).exact(UNKNOWN),
  'balls-made': object({ method: method('balls-made'), trials: attempts() }).exact(UNKNOWN),
  lives: object({ method: method('lives'), lives: count(1, 20) }).exact(UNKNOWN),
  'ladder-by-racks': object({
    method: method('ladder-by-racks'),
    rungs: counts(),
    wins: count(1, 5),
    of: count(1, 9),
  })
    .exact(UNKNOWN)
    .test('wins', '${path}.wins must be at most ${path}.of', ({ wins, of }) => wins <= of),
  'ladder-by-single': object({
    method: method('ladder-by-single'),
    start: count(1, 22),
    lowest: count(1, 22),
    top: count(1, 22),
    onMiss: choice(['down one', 'back to start']),
    attempts: attempts(),
  })
    .exact(UNKNOWN)
    .test(
      'rising',
      '${path} must have lowest ≤ start ≤ top',
      ({ start, lowest, top }) => lowest <= start && start <= top,
    ),
  'clear-or-restart': object({
    method: method('clear-or-restart'),
    layouts: counts(),
    attempts: attempts(),
  }).exact(UNKNOWN),
  'break-points': object({ method: method('break-points'), visits: attempts() }).exact(UNKNOWN),
  'zone-points': object({
    method: method('zone-points'),
    shots: attempts(),
    /** Whose chance of the next pot contours the window. */
    windowLevel: choice(LEVEL_NAMES),
  }).exact(UNKNOWN),
  'graded-contact': object({
    method: method('graded-contact'),
    stations: attempts(),
    points: object({
      full: weight(),
      thick: weight(),
      thin: weight(),
      'cushion first': weight(),
      miss: weight(),
    }).exact(UNKNOWN),
  }).exact(UNKNOWN),
  'success-rate': object({ method: method('success-rate'), attempts: attempts() }).exact(UNKNOWN),
  kick: object({
    method: method('kick'),
    attempts: attempts(),
    penalty: count(0, 7),
    leaveCosts: object({
      'nothing on': weight(),
      'half a chance': weight(),
      'wide open': weight(),
    }).exact(UNKNOWN),
  }).exact(UNKNOWN),
  'break-score': object({
    method: method('break-score'),
    attempts: attempts(),
    weights: object({ balls: weight(), control: weight(), layout: weight() }).exact(UNKNOWN),
    mostBalls: count(1, 15),
    dryBelow: count(0, 5),
    afterInOff: finite().min(0, '${path} must be at least 0').max(1, '${path} must be at most 1'),
  }).exact(UNKNOWN),
  'call-it': object({ method: method('call-it'), positions: attempts() }).exact(UNKNOWN),
  streak: object({ method: method('streak'), attempts: attempts() }).exact(UNKNOWN),
} as const;

function isMethod(name: unknown): name is CountingMethodName {
  return COUNTING_METHODS.some((each) => each === name);
}

function schemaFor(value: unknown) {
  const name = typeof value === 'object' && value !== null && 'method' in value ? value.method : undefined;
  return isMethod(name) ? SCHEMAS[name] : noneOf('method', COUNTING_METHODS);
}

const nothing = mixed<never>().nullable().defined().oneOf([null]);

export const scoringSchema = lazy(schemaFor);
/** Another count, or null for none. */
export const maybeScoringSchema = lazy((value: unknown) => (value === null ? nothing : schemaFor(value)));
