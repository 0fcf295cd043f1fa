import { toRadians } from '../../math/angle.ts';
import { bearing } from '../../math/point.ts';
import { cueBallAt } from '../../planning/windowAmong.ts';
import { flipGap, solvePlant, type Plant } from '../../shot/plants.ts';
import { pocketNamed } from '../../table/table.ts';
import type { Difficulty } from '../kinds.ts';
import type { CallQuestion } from '../question.ts';
import type { Poser } from './poser.ts';
import { ballAt, somePocket, somewhere } from './randomPot.ts';

/** Balls of a plant lie up to this far apart, metres. */
const WIDEST_GAP = 0.009;

const PLANT_BALLS = { pool: ['1', '2'], snooker: ['red', 'red 2'] } as const;

/** Degrees by which the line of the balls points past the pocket, from plain to hair-fine. */
const PLANT_OFF: Readonly<Record<Difficulty, readonly [number, number]>> = {
  plain: [4, 7],
  fair: [3, 6],
  close: [2.5, 5],
  'hair-fine': [2, 4],
};

/** Two balls whose line points a little past a pocket, touching or not quite. */
export const posePlant: Poser = (table, random, { difficulty }) => {
  const [firstId, secondId] = PLANT_BALLS[table.preset.game];
  const second = ballAt(table, secondId, somewhere(table, random, 0.35));
  const pocket = somePocket(random);
  const [least, most] = PLANT_OFF[difficulty];
  const off = toRadians((random.uniform() < 0.5 ? -1 : 1) * (least + random.uniform() * (most - least)));
  const line = bearing(second, pocketNamed(table, pocket).mouth) + off;
  const gap = difficulty === 'plain' ? 0 : random.uniform() < 0.4 ? 0 : WIDEST_GAP * random.uniform();
  const back = (by: number) => ({ x: second.x - by * Math.cos(line), y: second.y - by * Math.sin(line) });
  const apart = 2 * table.preset.ballRadius + gap + 1e-6;
  const first = ballAt(table, firstId, back(apart));
  const cue = cueBallAt(table, back(apart + 0.3 + 0.4 * random.uniform()));
  const edge = 2 * table.preset.ballRadius;
  const inside = [first, cue].every(
    ({ x, y }) => x > edge && x < table.length - edge && y > edge && y < table.width - edge,
  );
  return inside ? plantOf({ table, cue, first, second, pocket, others: [] }, gap) : undefined;
};

function plantOf(set: Plant, gap: number): CallQuestion | undefined {
  const stroke = { ball: set.cue.id, speed: 2.2, tip: { side: 0, height: 0 }, elevation: 0 };
  const way = solvePlant(set, stroke);
  if (way === undefined || way.side === 'full') return undefined;
  const flip = flipGap(set, stroke);
  return {
    kind: 'which side of the plant',
    shot: way.shot,
    pot: set.second.id,
    pocket: set.pocket,
    first: set.first.id,
    truth: way.side,
    gapMm: 1000 * gap,
    flipMm: flip === undefined ? undefined : 500 * (flip.until + flip.from),
  };
}
