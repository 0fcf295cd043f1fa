import type { TroubleOrigin } from '../../core/virtual/troubleOrigin.ts';
import { counted } from './units.ts';

/** Less than this is not told, 0…1. */
const LEAST = 0.005;

const points = (share: number) => Math.round(100 * share);

/** "shot 3, the 4: it gave away 21 points of a hundred, 5 by the choice and 16 by where the cue ball stopped." */
export function originWords({ entry, lost }: TroubleOrigin): string {
  const { shot, ball, choice, position } = entry;
  const missed = lost - choice - position;
  const parts = [
    { cost: choice, words: 'by the choice' },
    { cost: position, words: 'by where the cue ball stopped' },
    { cost: missed, words: 'by the miss' },
  ].filter(({ cost }) => cost >= LEAST);
  const given = `shot ${shot}, the ${ball}: it gave away ${counted(points(lost), 'point')} of a hundred`;
  if (parts.length === 1) return `${given}, all ${parts[0]?.words ?? ''}.`;
  return `${given}, ${parts.map(({ cost, words }) => `${points(cost)} ${words}`).join(' and ')}.`;
}
