import type { WingMiss, WingRecord } from '../../core/scoring/wingBall.ts';
import { interval } from './units.ts';

/** "Wing ball in 41 % (30 to 53) of 34; of the others 12 high, 5 low, 3 knocked away." */
export function wingRecordWords({ noted, in: fell, misses }: WingRecord): string {
  const others = misses.flatMap(({ way, count }) => (count === 0 ? [] : [`${count} ${way}`]));
  const rest = others.length === 0 ? '' : `; of the others ${others.join(', ')}`;
  return `The wing ball fell in ${interval(fell)} of ${noted}${rest}.`;
}

/** What the simulator says of a perfect stroke that leaves the wing ball so: these signs are held by truth/breaks. */
const SAYS: Readonly<Record<WingMiss, string>> = {
  high: 'It passes high: look for a gap on the far side of the rack, or for one right behind the head ball that can be seen.',
  low: 'It stays low: look for a gap too small to be seen on the near side of the rack.',
  'knocked away':
    'Another ball takes it on its way: the rack is loose at its end, or the break comes from nearer the middle.',
};

/** What the wing ball says of the rack; that it says nothing yet where misses go either way. */
export function diagnosisWords({ misses, tends }: WingRecord): string {
  const missed = misses.reduce((sum, { count }) => sum + count, 0);
  if (missed === 0) return '';
  if (tends === undefined) return 'Its misses go no one way that is sure.';
  const count = misses.find(({ way }) => way === tends)?.count ?? 0;
  return `${SAYS[tends]} That fits ${count} of ${missed} misses.`;
}
