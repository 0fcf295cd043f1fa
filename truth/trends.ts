import { createRandom, type Random } from '../core/random/random.ts';
import { progressIn, type Progress, type ProgressPoint } from '../core/scoring/progress.ts';
import { atLeast, atMost, type Asked, type Figure } from './figure.ts';

const WEEK = 7;

/** How often somebody plays, and how far their rounds scatter: rating points. */
const WAYS = [
  { roundsAWeek: 2, noise: 8 },
  { roundsAWeek: 3, noise: 8 },
  { roundsAWeek: 3, noise: 12 },
  { roundsAWeek: 5, noise: 12 },
];

/** The rounds of somebody whose level is known at each time. @param levelAt rating at a week */
function rounds(
  weeks: number,
  { roundsAWeek, noise }: (typeof WAYS)[number],
  levelAt: (week: number) => number,
  random: Random,
): readonly ProgressPoint[] {
  return Array.from({ length: Math.round(weeks * roundsAWeek) }, () => WEEK * weeks * random.uniform())
    .sort((a, b) => a - b)
    .map((day) => {
      const rating = levelAt(day / WEEK) + noise * random.normal();
      return { day, rating: Math.min(100, Math.max(0, rating)) };
    });
}

const until = (points: readonly ProgressPoint[], week: number) =>
  points.filter(({ day }) => day <= WEEK * week);

/** Share of some players, in all ways of playing, of whom something is told, per cent. */
function share(
  count: number,
  seed: number,
  told: (way: (typeof WAYS)[number], random: Random) => boolean,
): number {
  const random = createRandom(seed);
  let [yes, all] = [0, 0];
  for (const way of WAYS) {
    for (let i = 0; i < count; i++) {
      if (told(way, random)) yes++;
      all++;
    }
  }
  return (100 * yes) / all;
}

const flatAt = (random: Random) => 20 + 60 * random.uniform();
const isMoving = ({ course }: Progress) => course === 'up' || course === 'down';

/** What is said of somebody at once must agree. */
function contradicts({ course, slope, comeback }: Progress): boolean {
  if (slope === undefined) return false;
  return (
    (course === 'up' && slope.slope <= 0) ||
    (course === 'down' && slope.slope >= 0) ||
    (comeback && course === 'down') ||
    (course === 'plateau' && (slope.low > 0 || slope.high < 0))
  );
}

/** What is told of where players go, against players of whom it is known. */
export function trends({ seed, size }: Asked): readonly Figure[] {
  const count = Math.round(300 * size);
  let contradictions = 0;
  const tell = (points: readonly ProgressPoint[]) => {
    const progress = progressIn(points);
    if (contradicts(progress)) contradictions++;
    return progress;
  };
  /** Rises by one or two points a week for half a year, then stays. */
  const risen = (random: Random) => {
    const pace = 1 + random.uniform();
    return (week: number) => 30 + pace * Math.min(week, 20);
  };
  const slumped = (week: number) =>
    week < 12 ? 60 : week < 20 ? 35 : week < 24 ? 35 + 6.25 * (week - 20) : 60;
  const flat = share(count, seed, (way, random) => {
    const level = flatAt(random);
    return isMoving(tell(rounds(12 + 24 * random.uniform(), way, () => level, random)));
  });
  const seen = share(
    count,
    seed + 1,
    (way, random) => tell(rounds(24, way, (week) => 30 + week, random)).course === 'up',
  );
  const fallen = share(
    count,
    seed + 2,
    (way, random) => tell(rounds(24, way, (week) => 70 - week, random)).course === 'down',
  );
  const plateau = share(count, seed + 3, (way, random) => {
    const points = rounds(28, way, risen(random), random);
    return [24, 25, 26, 27, 28].some((week) => tell(until(points, week)).course === 'plateau');
  });
  const early = share(
    count,
    seed + 4,
    (way, random) => tell(rounds(20, way, risen(random), random)).course === 'plateau',
  );
  const falseBack = share(count, seed + 5, (way, random) => {
    const level = flatAt(random);
    return tell(rounds(20 + 30 * random.uniform(), way, () => level, random)).comeback;
  });
  const back = share(count, seed + 6, (way, random) => {
    const points = rounds(30, way, slumped, random);
    return [25, 26, 27, 28, 29, 30].some((week) => tell(until(points, week)).comeback);
  });
  const stillBack = share(count, seed + 7, (way, random) => tell(rounds(44, way, slumped, random)).comeback);
  return [
    atMost('trends.flat-moves', flat, 10, '% of flat series'),
    atLeast('trends.rise-seen', seen, 85, '% of 1 point a week over 24 weeks'),
    atLeast('trends.fall-seen', fallen, 85, '% of 1 point a week over 24 weeks'),
    atLeast('trends.plateau', plateau, 80, '% within 8 weeks after a rise'),
    atMost('trends.plateau-early', early, 15, '% of those who still rise'),
    atMost('trends.comeback-false', falseBack, 5, '% of steady players'),
    atLeast('trends.comeback', back, 80, '% of slumps of 25 points won back'),
    atMost('trends.comeback-stays', stillBack, 5, '% twenty weeks later'),
    atMost('trends.contradictions', contradictions, 0, 'cards'),
  ];
}
