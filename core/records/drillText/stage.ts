import { array, object } from 'yup';
import { choice, count, finite, text, texts } from '../fields.ts';
import { LEVEL_NAMES } from '../../player/levels.ts';
import { CONDITIONS } from './conditions.ts';
import { maybeScoringSchema } from './counting.ts';
import { placeSchema, UNKNOWN } from './places.ts';

const bandSchema = object({
  /** Least chance of the next pot that earns the points. */
  chance: finite().min(0, '${path} must be at least 0').max(1, '${path} must be at most 1'),
  points: count(1, 100),
}).exact(UNKNOWN);

/** A variant of the drill, from easy to hard: what it changes of the base. */
export const stageSchema = object({
  title: text(60),
  /** Bands of the window, for zone points; empty for other methods. */
  bands: array(bandSchema)
    .required('${path} is missing')
    .max(5, '${path} has at most five bands')
    .test('rising', '${path} must rise in chance and points', (bands) =>
      bands.every((band, i) => {
        const before = bands[i - 1];
        return before === undefined || (band.chance > before.chance && band.points > before.points);
      }),
    ),
  /** Balls that lie elsewhere than in the base. */
  moved: array(object({ id: text(12), at: placeSchema }).exact(UNKNOWN)).required('${path} is missing'),
  /** Balls of the base that are not set. */
  without: texts(12),
  /** Conditions that come on top of the base's. */
  conditions: array(choice(CONDITIONS)).required('${path} is missing'),
  /** What the coach expects of a round by a player of a level, beside the computed benchmark. */
  marks: array(
    object({
      level: choice(LEVEL_NAMES),
      score: finite().min(0, '${path} must be at least 0').max(10_000, '${path} must be at most 10000'),
    }).exact(UNKNOWN),
  )
    .required('${path} is missing')
    .test(
      'once',
      '${path} names a level twice',
      (marks) => new Set(marks.map(({ level }) => level)).size === marks.length,
    ),
  /** Another count, e.g. fewer balls or lives; null for the base's. */
  scoring: maybeScoringSchema,
}).exact(UNKNOWN);
