import type { CardValueName } from '../../core/table/cardValues.ts';
import type { TableCard } from '../../core/table/card.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import { termIn, type Vocabulary } from '../words/vocabulary.ts';
import type { RoomLimits } from '../../core/table/room.ts';

/** How a number of a card is named and written: in `unit`s, `scale` of which are one in SI. */
export interface ValueWords {
  readonly title: string;
  readonly unit: string;
  readonly scale: number;
  readonly digits: number;
}

const millimetres = (title: string, digits = 1): ValueWords => ({ title, unit: 'mm', scale: 1000, digits });
const plain = (title: string, digits: number): ValueWords => ({ title, unit: '', scale: 1, digits });

export const VALUE_WORDS: Readonly<Record<CardValueName, ValueWords>> = {
  length: millimetres('Length between noses', 0),
  width: millimetres('Width between noses', 0),
  ballDiameter: millimetres('Object ball, across', 2),
  ballMass: { title: 'Object ball, mass', unit: 'g', scale: 1000, digits: 1 },
  cueBallDiameter: millimetres('Cue ball, across', 2),
  cueBallMass: { title: 'Cue ball, mass', unit: 'g', scale: 1000, digits: 1 },
  slidingFriction: plain('Sliding friction', 3),
  rollingFriction: plain('Rolling friction', 4),
  spinDeceleration: { title: 'Loss of spin', unit: 'rad/s²', scale: 1, digits: 1 },
  ballRestitution: plain('Ball on ball, given back', 3),
  ballFriction: plain('Ball on ball, slow friction', 3),
  cushionRestitution: plain('Cushion, given back', 3),
  cushionRestitutionFall: { title: 'Cushion, less per m/s', unit: 's/m', scale: 1, digits: 3 },
  cushionFriction: plain('Cushion, friction', 3),
  noseHeight: millimetres('Nose above the cloth'),
  cornerMouth: millimetres('Corner mouth'),
  cornerShelf: millimetres('Corner shelf'),
  middleMouth: millimetres('Middle mouth'),
  middleShelf: millimetres('Middle shelf'),
  bedRestitution: plain('Bed, given back (hops)', 2),
  endMass: { title: 'Cue, end mass', unit: 'g', scale: 1000, digits: 1 },
};

/** "117.0 mm". */
export function valueInWords(name: CardValueName, value: number): string {
  const { unit, scale, digits } = VALUE_WORDS[name];
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
      : [`${metres.toFixed(2)} m behind the ${side} ${termIn(vocabulary, 'cushion')}`];
  });
  return sides.length === 0 ? undefined : `Room for the cue ends ${sides.join(', ')}.`;
}
