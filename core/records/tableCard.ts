import { array, object } from 'yup';
import { type TableCard, tableOfCard } from '../table/card.ts';
import {
  BALL_SETS,
  CLOTH_AGES,
  CLOTH_SPEEDS,
  CUSHION_KINDS,
  POCKET_KINDS,
  ballSetsOf,
} from '../table/cardChoices.ts';
import { CARD_VALUES, CARD_VALUE_NAMES } from '../table/cardValues.ts';
import { PRESET_IDS } from '../table/preset.ts';
import { TABLE_PRESETS } from '../table/presets.ts';
import { MISSING, UNKNOWN, choice, finite, text } from './fields.ts';

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
    .defined(MISSING);

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
    .required(MISSING)
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
