import type { Place } from './places.ts';

/** So many are shown. */
const MOST = 12;

const plain = (text: string) => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** How well a place answers to the words, the less the better; undefined where one of them is nowhere in it. */
function rankOf({ name, about, also = '' }: Place, words: readonly string[]): number | undefined {
  const [called, told] = [plain(name), plain(`${about} ${also}`)];
  let rank = 0;
  for (const word of words) {
    if (called.startsWith(word)) continue;
    if (called.split(/[\s:]+/).some((part) => part.startsWith(word))) rank += 1;
    else if (called.includes(word)) rank += 2;
    else if (told.includes(word)) rank += 3;
    else return undefined;
  }
  return rank;
}

/** The places that answer to what was typed, the best first; without words the first ones as they come. */
export function found(places: readonly Place[], typed: string): readonly Place[] {
  const words = plain(typed).split(/\s+/).filter(Boolean);
  if (words.length === 0) return places.slice(0, MOST);
  return places
    .flatMap((place) => {
      const rank = rankOf(place, words);
      return rank === undefined ? [] : [{ place, rank }];
    })
    .sort((a, b) => a.rank - b.rank)
    .slice(0, MOST)
    .map(({ place }) => place);
}
