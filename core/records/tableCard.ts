import { array, boolean, object, string, type InferType } from 'yup';
import { CARD_VALUE_NAMES, CARD_VALUES } from '../table/cardValues.ts';
import {
  AIR_KINDS,
  BALL_SETS,
  BALL_STATES,
  ballSetsOf,
  CLOTH_AGES,
  CLOTH_SPEEDS,
  CUSHION_KINDS,
  POCKET_KINDS,
  WARMTHS,
} from '../table/cardChoices.ts';
import { tableOfCard, type TableCard } from '../table/card.ts';
import { PRESET_IDS } from '../table/preset.ts';
import { TABLE_PRESETS } from '../table/presets.ts';
import { choice, count, finite, instant, text, uuid } from './fields.ts';

const UNKNOWN = '${properties} is not a field of ${path}';

const measuredSchema = object({
  name: choice(CARD_VALUE_NAMES),
  value: finite(),
  source: text(200),
})
  .exact(UNKNOWN)
  .test('bounds', (measured, context) => {
    const { least, most } = CARD_VALUES[measured.name];
    if (measured.value >= least && measured.value <= most) return true;
    const message = `${measured.name} must be from ${String(least)} to ${String(most)}`;
    return context.createError({ path: `${context.path}.value`, message });
  });

/** No wall is nearer than a cushion is wide, and one farther away than a cue and a half is no limit. */
const wall = () =>
  finite()
    .min(0.1, '${path} must be at least 0.1 m')
    .max(3, '${path} must be at most 3 m, or left empty')
    .nullable()
    .defined('${path} is missing');

/** The narrowest mouth that still takes a ball, as a share of its diameter. */
const LEAST_MOUTH = 1.15;

export const tableCardSchema = object({
  preset: choice(PRESET_IDS),
  ballSet: choice(BALL_SETS),
  clothSpeed: choice(CLOTH_SPEEDS),
  clothAge: choice(CLOTH_AGES),
  cushions: choice(CUSHION_KINDS),
  pockets: choice(POCKET_KINDS),
  measured: array(measuredSchema)
    .required('${path} is missing')
    .max(CARD_VALUE_NAMES.length, '${path} holds a number twice')
    .test(
      'once',
      '${path} holds a number twice',
      (list) => new Set(list.map((each) => each.name)).size === list.length,
    ),
  room: object({ head: wall(), foot: wall(), right: wall(), left: wall() }).exact(UNKNOWN).required(),
})
  .exact(UNKNOWN)
  .required()
  .test('ball set', (card, context) =>
    ballSetsOf(TABLE_PRESETS[card.preset]).includes(card.ballSet)
      ? true
      : context.createError({
          path: context.path === '' ? 'ballSet' : `${context.path}.ballSet`,
          message: 'ballSet is not played with on this kind of table',
        }),
  )
  .test('mouths', (card, context) => {
    const { ballRadius, cueBallRadius, corner, middle } = tableOfCard(card, null).preset;
    const least = LEAST_MOUTH * 2 * Math.max(ballRadius, cueBallRadius);
    if (Math.min(corner.mouth, middle.mouth) >= least) return true;
    return context.createError({
      path: context.path === '' ? 'measured' : `${context.path}.measured`,
      message: `the mouths must be at least ${(1000 * least).toFixed(0)} mm for these balls`,
    });
  });

export const conditionsSchema = object({
  air: choice(AIR_KINDS),
  warmth: choice(WARMTHS),
  balls: choice(BALL_STATES),
}).exact(UNKNOWN);

/** Conditions are tonight's: noted once, they hold for this long, ms. */
export const CONDITIONS_HOLD_MS = 12 * 3_600_000;

/** What a device sends to note tonight's conditions; the id comes with the address. */
export const newConditionsSchema = object({
  conditions: conditionsSchema.required('conditions is missing'),
  note: string().strict().defined('note is missing').max(300, 'note must be at most 300 characters'),
  notedAt: instant(),
})
  .exact('${properties} is not a field of this request')
  .required();

export const notedConditionsSchema = object({
  id: uuid(),
  conditions: conditionsSchema.required(),
  note: string().strict().defined(),
  by: text(80),
  notedAt: instant(),
  holdsUntil: instant(),
  withdrawn: boolean().strict().required(),
}).required();
export type NotedConditions = InferType<typeof notedConditionsSchema>;

/** A table's card at a revision, under the conditions that were noted: all that decides how balls run on it. */
export const tableStateSchema = object({
  revision: count(1, 100_000),
  card: tableCardSchema,
  conditions: notedConditionsSchema.nullable().defined(),
}).required();
export type TableState = InferType<typeof tableStateSchema>;

export const clubTableSchema = object({
  id: uuid(),
  name: text(60),
  preset: choice(PRESET_IDS),
  archived: boolean().strict().required(),
  state: tableStateSchema,
}).required();
export type ClubTable = InferType<typeof clubTableSchema>;
export const clubTablesSchema = array(clubTableSchema).required();

/** Which state of which table. */
export interface TableRef {
  readonly id: string;
  readonly revision: number;
  readonly conditionsId: string | null;
}

/** What a coach sends to change a table: the whole card, and the revision that it was made from. */
export const tableChangeSchema = object({
  name: text(60),
  archived: boolean().strict().required('archived is missing'),
  card: tableCardSchema,
  basedOn: count(1, 100_000),
})
  .exact('${properties} is not a field of this request')
  .required();

/** How a card came to be what it is, and what was noted of the conditions, newest first. */
export const tableLogSchema = object({
  revisions: array(
    object({
      revision: count(1, 100_000),
      card: tableCardSchema,
      by: text(80).nullable().defined(),
      at: instant(),
    }).required(),
  ).required(),
  conditions: array(notedConditionsSchema).required(),
}).required();
export type TableLog = InferType<typeof tableLogSchema>;

/** A card as a value that can be compared: two cards with the same text are the same. */
export function cardText(card: TableCard): string {
  const { preset, ballSet, clothSpeed, clothAge, cushions, pockets, measured, room } = card;
  const sorted = [...measured].sort((a, b) => (a.name < b.name ? -1 : 1));
  return JSON.stringify([
    preset,
    ballSet,
    clothSpeed,
    clothAge,
    cushions,
    pockets,
    sorted.map(({ name, value, source }) => [name, value, source]),
    [room.head, room.foot, room.right, room.left],
  ]);
}
