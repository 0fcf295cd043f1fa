import { MISSED_WAYS, type MissedWay } from '../counting/kickScore.ts';
import { replaysOf, type Replays } from '../counting/replays.ts';
import { CUE_BALL } from '../drill/layout.ts';
import type { AttemptOutcome } from '../drill/round.ts';
import { ballsOfSetUp, setUp } from '../drill/setUp.ts';
import { atStation, stationOfAttempt, stationsOf } from '../drill/station.ts';
import { distance } from '../math/point.ts';
import type { Drill } from '../records/drill.ts';
import { KICK_DISTANCES, type KickDistance, type KickSum } from '../records/kickSum.ts';
import { SIDES_USED } from '../records/loggedShot.ts';
import { wilson, type ShareInterval } from '../statistics/wilson.ts';
import type { TablePreset } from '../table/preset.ts';

/** What a kick drill asks at one of its stations. */
export type KickAsked = Pick<KickSum, 'cushions' | 'distance' | 'side'>;

/** A ball nearer than this share of the table's length is near, one beyond the other far. */
const NEAR = 1 / 3;
const FAR = 2 / 3;
const SEED = 1;

function distanceOf(share: number): KickDistance {
  if (share < NEAR) return 'near';
  return share > FAR ? 'far' : 'middle';
}

/**
 * What a kick drill asks at each of its stations, in their order: how many cushions (null where the way is the player's to
 * find), and how far the ball lies from the cue ball.
 * @param drill as it is played at the stage @returns undefined for another kind of drill, or one with its cue ball in hand
 * @throws RangeError when a place does not exist on this kind of table
 */
export function kicksAskedBy(drill: Drill, preset: TablePreset): readonly KickAsked[] | undefined {
  const { task } = drill;
  if (task.kind !== 'kick') return undefined;
  const asked = Array.from({ length: stationsOf(drill) }, (_, k): KickAsked | undefined => {
    const balls = ballsOfSetUp(setUp(atStation(drill, k + 1), preset, SEED));
    const cue = balls.find(({ id }) => id === CUE_BALL);
    const ball = balls.find(({ id }) => id === task.target);
    if (cue === undefined || ball === undefined) return undefined;
    const cushions = task.cushions.length === 0 ? null : task.cushions.length;
    const side = drill.conditions.includes('no side') ? 'none' : null;
    return { cushions, distance: distanceOf(distance(cue, ball) / preset.length), side };
  });
  return asked.every((each) => each !== undefined) ? asked : undefined;
}

/** Whether the ball was met, by what an attempt counted. */
function isMet({ kick, grade, done }: AttemptOutcome): boolean {
  if (kick !== undefined) return kick.hit;
  return grade === undefined ? done : grade !== 'miss';
}

/** Adds up kicks that were asked alike. */
export function mergeKicks(kicks: readonly KickSum[]): KickSum[] {
  const byKey = new Map<string, KickSum>();
  for (const each of kicks) {
    const key = `${String(each.cushions)} ${each.distance} ${each.side ?? ''}`;
    const known = byKey.get(key);
    if (known === undefined) {
      byKey.set(key, each);
      continue;
    }
    const added = { ...known };
    for (const name of ['kicks', 'hits', 'called', ...MISSED_WAYS] as const) added[name] += each[name];
    byKey.set(key, added);
  }
  return [...byKey.values()];
}

/** An attempt as far as the sums of kicks need it. */
interface KickAttempted {
  readonly ordinal: number;
  readonly counted: AttemptOutcome;
  readonly log: { readonly shots: readonly { readonly side: KickSum['side'] }[] };
}

/** What the kicks of a round add up to, by what was asked, and by the side that was used where somebody said so. */
export function sumKicks(
  attempts: readonly KickAttempted[],
  drill: Pick<Drill, 'stations'>,
  asked: readonly KickAsked[],
): KickSum[] {
  return mergeKicks(
    attempts.flatMap(({ ordinal, counted, log }): readonly KickSum[] => {
      const each = asked[stationOfAttempt(drill, ordinal) - 1];
      if (each === undefined) return [];
      const { repeats = 0, missed = { left: 0, right: 0, short: 0 } } = counted.kick ?? {};
      const side = log.shots[0]?.side ?? each.side ?? null;
      return [{ ...each, side, kicks: 1, hits: isMet(counted) ? 1 : 0, called: repeats, ...missed }];
    }),
  );
}

/** By what kicks are told apart. */
export const KICK_TRAITS = ['cushions', 'distance', 'side'] as const;
export type KickTrait = (typeof KICK_TRAITS)[number];

/** Kicks that share a trait. */
export interface KickGroup {
  /** How many cushions, "any" for the player's own way; how far; or which side was used. */
  readonly value: string;
  readonly kicks: number;
  readonly hits: ShareInterval;
}

function valueOf(kick: KickSum, trait: KickTrait): string {
  if (trait === 'distance') return kick.distance;
  if (trait === 'side') return kick.side ?? 'not said';
  return kick.cushions === null ? 'any' : String(kick.cushions);
}

function total(kicks: readonly KickSum[], name: 'kicks' | 'hits' | 'called' | MissedWay): number {
  return kicks.reduce((sum, each) => sum + each[name], 0);
}

/** How often the ball was met, by cushions or by distance, the plainest first. */
export function groupKicks(kicks: readonly KickSum[], trait: KickTrait): readonly KickGroup[] {
  const orders = { distance: KICK_DISTANCES, side: [...SIDES_USED, 'not said'] } as const;
  const rank = (value: string) => {
    if (trait === 'cushions') return value === 'any' ? Infinity : Number(value);
    return orders[trait].findIndex((each) => each === value);
  };
  return [...new Set(kicks.map((each) => valueOf(each, trait)))]
    .sort((a, b) => rank(a) - rank(b))
    .map((value) => {
      const own = kicks.filter((each) => valueOf(each, trait) === value);
      return { value, kicks: total(own, 'kicks'), hits: wilson(total(own, 'hits'), total(own, 'kicks')) };
    });
}

/** All kicks together, with their called misses and where those go. */
export function allKicks(
  kicks: readonly KickSum[],
): Omit<KickGroup, 'value'> & Pick<Replays, 'misses' | 'drift'> {
  const missed = { left: total(kicks, 'left'), right: total(kicks, 'right'), short: total(kicks, 'short') };
  const { misses, drift } = replaysOf([{ repeats: total(kicks, 'called'), missed }], 0);
  const n = total(kicks, 'kicks');
  return { kicks: n, hits: wilson(total(kicks, 'hits'), n), misses, drift };
}
