import { simulate } from '../../motion/simulate.ts';
import { errorAsCued } from '../../player/asCued.ts';
import { executed } from '../../player/execute.ts';
import { drawnRack, rackContacts, type RackGap } from '../../rack/drawnRack.ts';
import { RACK_QUALITIES } from '../../rack/rackers.ts';
import { createRandom } from '../../random/random.ts';
import { breakShot } from './breakShot.ts';
import type { BreakQuestion } from './breakStudy.ts';

/** A change is told from so many of its standard errors on, and where it is this much at least, a share. */
const SURE = 3;
const LEAST = 0.06;

/** What a gap between two neighbours does to the balls of a rack. */
export interface ContactEffect {
  /** Places in the rack, the head ball being 0. */
  readonly between: readonly [number, number];
  /** Balls that fall more or less often than from a perfect rack, by their places, the strongest change first. */
  readonly balls: readonly { readonly place: number; readonly change: number }[];
}

/**
 * Which contact of a rack matters, and for which ball: each pair of neighbours in turn is set apart in a rack that is
 * perfect otherwise, and broken with the same errors as that.
 * @param question its rack's quality and gaps are left out of account; breaks are played so often for each contact
 * @param gap metres, > 0 @param onShare told what share is done, 0…1
 * @returns those that change anything that can be told, the strongest first
 * @throws RangeError for fewer than one break or no gap
 */
export function contactEffects(
  { table, rack, stroke, error, breaks, seed }: BreakQuestion,
  gap: number,
  onShare: (share: number) => void = () => undefined,
): readonly ContactEffect[] {
  if (!(breaks >= 1)) throw new RangeError('contactEffects: breaks must be at least 1');
  if (!(gap > 0)) throw new RangeError('contactEffects: a gap must be above 0');
  const contacts = rackContacts(rack.kind, table.preset);
  const root = createRandom(seed);
  const fallsWith = (gaps: readonly RackGap[], k: number) => {
    const random = root.fork(k);
    const wish = { kind: rack.kind, quality: RACK_QUALITIES.tight, gaps, order: rack.order };
    const racked = drawnRack(wish, table.preset, random);
    const planned = breakShot(table, racked, stroke);
    const { rest } = simulate(executed(planned, errorAsCued(planned, error), random), { events: false });
    return racked.map(({ id }) => rest.some((ball) => ball.id === id && ball.pocket !== null));
  };
  const of = (contacts.length + 1) * breaks;
  let done = 0;
  const played = (gaps: readonly RackGap[]) =>
    Array.from({ length: breaks }, (_, k) => {
      const falls = fallsWith(gaps, k);
      onShare(++done / of);
      return falls;
    });
  const perfect = played([]);
  return contacts
    .map((between): ContactEffect => {
      const apart = played([{ between, gap }]);
      const balls = (perfect[0] ?? []).flatMap((_, place) => {
        // Pairs of breaks with the same errors: only those that end otherwise count.
        const more = apart.filter(
          (falls, k) => falls[place] === true && perfect[k]?.[place] === false,
        ).length;
        const less = apart.filter(
          (falls, k) => falls[place] === false && perfect[k]?.[place] === true,
        ).length;
        const change = (more - less) / breaks;
        const isSure = Math.abs(more - less) > SURE * Math.sqrt(more + less);
        return isSure && Math.abs(change) >= LEAST ? [{ place, change }] : [];
      });
      return { between, balls: balls.sort((a, b) => Math.abs(b.change) - Math.abs(a.change)) };
    })
    .filter(({ balls }) => balls.length > 0)
    .sort((a, b) => Math.abs(b.balls[0]?.change ?? 0) - Math.abs(a.balls[0]?.change ?? 0));
}
