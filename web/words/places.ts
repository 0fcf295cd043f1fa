import type { MeasuredPlace } from '../../core/table/place.ts';
import type { PocketName } from '../../core/table/pockets.ts';
import { termIn, type Vocabulary } from './vocabulary.ts';
import { tapeLength } from './lengths.ts';

/** The place in words: from two cushions, or from the spot it is on. */
export function placeByTape(place: MeasuredPlace, vocabulary: Vocabulary): string {
  const end = place.short.cushion === 'head' ? termIn(vocabulary, 'headEnd') : termIn(vocabulary, 'footEnd');
  const cushion = termIn(vocabulary, 'cushion');
  const cushions = `${tapeLength(place.short.mm / 1_000)} from the ${end} ${cushion}, ${tapeLength(place.long.mm / 1_000)} from the ${place.long.cushion}`;
  return place.spot === undefined ? cushions : `on the ${place.spot} spot (${cushions})`;
}

/** A number of diamonds with as many digits as matter: a hundredth of a diamond is three millimetres. */
function diamonds(value: number): string {
  return String(Math.round(value * 100) / 100);
}

export function placeInDiamonds(place: MeasuredPlace): string | undefined {
  if (place.diamonds === undefined) return undefined;
  return `${diamonds(place.diamonds.along)} along, ${diamonds(place.diamonds.across)} across`;
}

/** What a pocket is called: "foot right", or "top right" to a snooker player. */
export function pocketWords(pocket: PocketName, vocabulary: Vocabulary): string {
  return pocket
    .replace('head', termIn(vocabulary, 'headEnd'))
    .replace('foot', termIn(vocabulary, 'footEnd'))
    .replace('-', ' ');
}
