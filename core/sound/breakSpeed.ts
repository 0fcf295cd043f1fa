import { impactsOf, type Impact } from './impacts.ts';

/** What has to be known to tell a cue ball's speed from two knocks. */
export interface SpeedSetting {
  /** From the cue ball's middle to where it is when it meets the rack, metres. */
  readonly distance: number;
  /** How fast the sliding ball slows down, m/s². */
  readonly slowing: number;
}

/** What a recording tells of a break. */
export type SpeedTold =
  | {
      readonly kind: 'told';
      /** As the ball leaves the tip, m/s, and where it lies in 95 of a hundred. */
      readonly speed: number;
      readonly low: number;
      readonly high: number;
      /** When the tip and the rack were heard, seconds. */
      readonly tip: number;
      readonly rack: number;
    }
  | { readonly kind: 'cannot tell'; readonly why: 'nothing heard' | 'no pair' | 'several pairs' };

/** Breaks are played between these, m/s. */
const SLOWEST = 2.5;
const FASTEST = 13;
/** The rack is nearly the loudest knock, and no softer than the tip; dB. */
const NEARLY_LOUDEST = 5;
const SOFTER_THAN_TIP = 2;
/** What is softer than the loudest by more is no tip, dB. */
const FAINT = 45;
/** A knock as loud as this in comparison with the tip could be the tip itself, or come from another table, dB. */
const COMPARABLE = 13;
/** An echo comes within this after its knock, seconds, and is so much softer, dB. */
const ECHO = { within: 0.07, softer: 9 } as const;
/** A tip may be so much softer than the rack: where it would not have been heard, nothing is told. dB. */
const TIP_BELOW_RACK = 20;
/** After the rack balls knock at each other: so often at least, within so long, seconds. */
const RATTLE = { knocks: 2, within: 0.2 } as const;
/** Standard deviations of when a knock was, seconds, and of the distance, metres. */
const TIMING = 0.6e-3;
const MEASURED = 0.006;
const NORMAL_95 = 1.96;

/**
 * The speed of a break from its sound: the tip is heard, then the rack, and how far the ball ran in between is known.
 * Where more than one pair of knocks could be the two, or none, it cannot be told.
 * @param samples −1…1, one channel @param rate samples a second, at least 16,000
 */
export function breakSpeed(samples: Float32Array, rate: number, setting: SpeedSetting): SpeedTold {
  const { impacts, deafness } = impactsOf(samples, rate);
  if (impacts.length === 0) return { kind: 'cannot tell', why: 'nothing heard' };
  const loudest = Math.max(...impacts.map(({ level }) => level));
  const pairs = impacts
    .filter((rack) => rack.level > loudest - NEARLY_LOUDEST && rattles(impacts, rack))
    .filter((rack) => deafness(...windowOf(rack, setting)) < rack.level - TIP_BELOW_RACK)
    .flatMap((rack) =>
      impacts
        .filter((tip) => tip.level > loudest - FAINT && isPair(impacts, tip, rack, setting))
        .map((tip) => ({ tip, rack })),
    );
  const [pair, another] = pairs;
  if (pair === undefined) return { kind: 'cannot tell', why: 'no pair' };
  if (another !== undefined) return { kind: 'cannot tell', why: 'several pairs' };
  const took = pair.rack.at - pair.tip.at;
  const speed = speedOver(took, setting);
  const spread = speed * Math.hypot((Math.SQRT2 * TIMING) / took, MEASURED / setting.distance);
  return {
    kind: 'told',
    speed,
    low: speed - NORMAL_95 * spread,
    high: speed + NORMAL_95 * spread,
    tip: pair.tip.at,
    rack: pair.rack.at,
  };
}

/** The speed at first of a ball that slows down evenly over the distance. @param took seconds */
function speedOver(took: number, { distance, slowing }: SpeedSetting): number {
  return distance / took + 0.5 * slowing * took;
}

function rattles(impacts: readonly Impact[], rack: Impact): boolean {
  const after = impacts.filter(({ at }) => at > rack.at && at < rack.at + RATTLE.within);
  return after.length >= RATTLE.knocks;
}

/** When the tip of a rack may have been heard, seconds: from the slowest break's to the fastest one's. */
function windowOf(rack: Impact, { distance }: SpeedSetting): readonly [from: number, to: number] {
  return [rack.at - distance / SLOWEST, rack.at - distance / FASTEST];
}

/** Whether two knocks may be tip and rack, and nothing else that was heard may be the tip instead. */
function isPair(impacts: readonly Impact[], tip: Impact, rack: Impact, setting: SpeedSetting): boolean {
  const [from, to] = windowOf(rack, setting);
  if (tip.at < from || tip.at > to || rack.level < tip.level - SOFTER_THAN_TIP) return false;
  return impacts.every((other) => {
    if (other === tip || other === rack || other.level < tip.level - COMPARABLE) return true;
    const isEcho =
      other.at > tip.at && other.at < tip.at + ECHO.within && other.level < tip.level - ECHO.softer;
    return isEcho || other.at < from || other.at > rack.at;
  });
}
