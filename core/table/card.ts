import { CARD_VALUE_NAMES, CARD_VALUES, type CardValueName } from './cardValues.ts';
import {
  effectsOfChoices,
  effectsOfConditions,
  type CardChoices,
  type Conditions,
  type Effect,
} from './cardChoices.ts';
import type { PresetId, TablePreset } from './preset.ts';
import { TABLE_PRESETS } from './presets.ts';
import type { RoomLimits } from './room.ts';
import { buildCustomTable, type Table } from './table.ts';

/** A number that was measured on the real table and replaces what the choices give. SI units. */
export interface MeasuredValue {
  readonly name: CardValueName;
  readonly value: number;
  /** How it was found, in the coach's words. */
  readonly source: string;
}

/** What is known of one table of the hall. */
export interface TableCard extends CardChoices {
  readonly preset: PresetId;
  readonly measured: readonly MeasuredValue[];
  readonly room: RoomLimits;
}

/** One number of a card with everything that made it what it is. */
export interface CardValue {
  readonly name: CardValueName;
  readonly value: number;
  /** What the kind of table has. */
  readonly preset: number;
  readonly steps: readonly { readonly to: number; readonly reason: string }[];
}

/** The card of a table of which nothing else is known. */
export function standardCard(preset: PresetId): TableCard {
  return {
    preset,
    ballSet: 'standard',
    clothSpeed: 'medium',
    clothAge: 'played in',
    cushions: 'ordinary',
    pockets: 'ordinary',
    measured: [],
    room: { head: null, foot: null, right: null, left: null },
  };
}

export const ORDINARY_CONDITIONS: Conditions = { air: 'ordinary', warmth: 'ordinary', balls: 'ordinary' };

/** Rounded to what a card can mean, so that the same choices give the same table whatever the order of factors. */
const DIGITS = 6;

/** A value after an effect, inside what the number may be: factors never carry it out of its bounds. */
function changed(name: CardValueName, before: number, { change }: Effect): number {
  const { least, most } = CARD_VALUES[name];
  const raw = 'set' in change ? change.set : 'times' in change ? before * change.times : before + change.plus;
  return Math.min(most, Math.max(least, Number(raw.toPrecision(DIGITS))));
}

/**
 * All numbers of a card, each with its reasons: what the kind of table has, then the choices, then what was measured
 * (it replaces them), then tonight's conditions.
 */
export function cardValues(card: TableCard, conditions: Conditions | null): readonly CardValue[] {
  const preset = TABLE_PRESETS[card.preset];
  const measured = card.measured.map(({ name, value, source }): Effect => ({
    name,
    change: { set: value },
    reason: source,
  }));
  const effects = [
    ...effectsOfChoices(preset, card),
    ...measured,
    ...effectsOfConditions(conditions ?? ORDINARY_CONDITIONS),
  ];
  return CARD_VALUE_NAMES.map((name) => {
    const start = CARD_VALUES[name].read(preset);
    let value = start;
    const steps = effects
      .filter((effect) => effect.name === name)
      .map((effect) => {
        value = changed(name, value, effect);
        return { to: value, reason: effect.reason };
      });
    return { name, value, preset: start, steps };
  });
}

/** The table that a card describes under some conditions. Without choices and conditions it is the preset's. */
export function tableOfCard(card: TableCard, conditions: Conditions | null): Table {
  let preset: TablePreset = TABLE_PRESETS[card.preset];
  for (const { name, value, steps } of cardValues(card, conditions)) {
    if (steps.length > 0) preset = CARD_VALUES[name].write(preset, value);
  }
  return buildCustomTable(preset, {}, true);
}
