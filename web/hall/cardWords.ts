import { sideWord } from '../words/kickWords.ts';
import type { CardValueName } from '../../core/table/cardValues.ts';
import type { TableCard } from '../../core/table/card.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import { fineUnit, longLength, perSpeedUnit, weightUnit, type Unit } from '../words/lengths.ts';
import { termIn, type Vocabulary } from '../words/vocabulary.ts';
import type { RoomLimits } from '../../core/table/room.ts';

/** How a number of a card is named, and the unit in which it is written. */
export interface ValueWords extends Unit {
  readonly title: string;
}

const PLAIN = { unit: '', scale: 1 } as const;

const VALUES: Readonly<Record<CardValueName, readonly [title: string, unit: (() => Unit) | number]>> = {
  length: ['Length between noses', () => fineUnit(0)],
  width: ['Width between noses', () => fineUnit(0)],
  ballDiameter: ['Object ball, across', () => fineUnit(2)],
  ballMass: ['Object ball, mass', weightUnit],
  cueBallDiameter: ['Cue ball, across', () => fineUnit(2)],
  cueBallMass: ['Cue ball, mass', weightUnit],
  slidingFriction: ['Sliding friction', 3],
  rollingFriction: ['Rolling friction', 4],
  spinDeceleration: ['Loss of spin', () => ({ unit: 'rad/s²', scale: 1, digits: 1 })],
  ballRestitution: ['Ball on ball, given back', 3],
  ballFriction: ['Ball on ball, slow friction', 3],
  cushionRestitution: ['Cushion, given back', 3],
  cushionRestitutionFall: ['Cushion, less by pace', perSpeedUnit],
  cushionFriction: ['Cushion, friction', 3],
  noseHeight: ['Nose above the cloth', fineUnit],
  cornerMouth: ['Corner mouth', fineUnit],
  cornerShelf: ['Corner shelf', fineUnit],
  middleMouth: ['Middle mouth', fineUnit],
  middleShelf: ['Middle shelf', fineUnit],
  bedRestitution: ['Bed, given back (hops)', 2],
  endMass: ['Cue, end mass', weightUnit],
};

/** @param name of a number of the card @returns how it is told in the reader's units */
export function valueWords(name: CardValueName): ValueWords {
  const [title, unit] = VALUES[name];
  return { title, ...(typeof unit === 'number' ? { ...PLAIN, digits: unit } : unit()) };
}

/** "117.0 mm". */
export function valueInWords(name: CardValueName, value: number): string {
  const { unit, scale, digits } = valueWords(name);
  return `${(value * scale).toFixed(digits)}${unit === '' ? '' : ` ${unit}`}`;
}

/** A card in a sentence: what is not as it ships, and how much was measured. */
export function cardInWords(card: TableCard, vocabulary: Vocabulary): string {
  const cloth = [
    ...(card.clothSpeed === 'medium' ? [] : [card.clothSpeed]),
    ...(card.clothAge === 'played in' ? [] : [card.clothAge]),
  ];
  const parts = [
    ...(cloth.length === 0 ? [] : [`${cloth.join(', ')} cloth`]),
    ...(card.cushions === 'ordinary' ? [] : [`${card.cushions} ${termIn(vocabulary, 'cushion')}s`]),
    ...(card.pockets === 'ordinary' ? [] : [`${card.pockets} pockets`]),
    ...(card.ballSet === 'standard' ? [] : [card.ballSet]),
  ];
  const measured = card.measured.length;
  const numbers = measured === 0 ? '' : `; ${measured === 1 ? '1 number' : `${measured} numbers`} measured`;
  const kind = `${TABLE_PRESETS[card.preset].name}, `;
  return `${kind}${parts.length === 0 ? 'ordinary in everything' : parts.join(', ')}${numbers}.`;
}

/** "Room for the cue ends 1.20 m behind the right cushion." @returns undefined where any cue has room */
export function roomInWords(room: RoomLimits, vocabulary: Vocabulary): string | undefined {
  const sides = (['head', 'foot', 'right', 'left'] as const).flatMap((side) => {
    const metres = room[side];
    return metres === null
      ? []
      : [
          `${longLength(metres, 2)} behind the ${sideWord(side, vocabulary)} ${termIn(vocabulary, 'cushion')}`,
        ];
  });
  return sides.length === 0 ? undefined : `Room for the cue ends ${sides.join(', ')}.`;
}
