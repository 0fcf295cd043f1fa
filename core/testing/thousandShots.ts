import { simulate } from '../motion/simulate.ts';
import type { BallOnTable, Shot } from '../motion/shot.ts';
import { createRandom } from '../random/random.ts';
import { buildTable } from '../table/table.ts';

const TABLES = [buildTable('pool-9ft', { bedRestitution: 0.5, endMass: 0.007 }), buildTable('snooker-12ft')];

/** Seeded shots of all kinds: side, raised butts that hop, frozen balls, several cushions. */
export function seededShot(seed: number): Shot {
  const random = createRandom(seed);
  const table = TABLES[seed % 2] ?? TABLES[0]!;
  const { ballRadius: radius, ballMass: mass } = table.preset;
  const balls: BallOnTable[] = [];
  while (balls.length < 4) {
    const last = balls.at(-1);
    const frozen = balls.length === 2 && last !== undefined;
    const x = frozen ? last.x + 2 * radius : 0.2 + random.uniform() * (table.length - 0.4);
    const y = frozen ? last.y : 0.2 + random.uniform() * (table.width - 0.4);
    if (balls.every((b) => (b.x - x) ** 2 + (b.y - y) ** 2 >= 4 * radius * radius - 1e-12)) {
      balls.push({ id: String(balls.length), x, y, radius, mass });
    } else if (frozen) {
      balls.pop();
    }
  }
  return {
    table,
    balls,
    strike: {
      ball: '0',
      speed: 0.5 + 5 * random.uniform(),
      direction: 6.3 * random.uniform(),
      tip: { side: 0.6 * (random.uniform() - 0.5), height: 0.6 * (random.uniform() - 0.5) },
      elevation: random.uniform() < 0.3 ? 0.6 * random.uniform() : 0,
    },
  };
}

/** A digest (FNV-1a, 32 bits) of every bit of the results of a thousand seeded shots, and how much was in it. */
export function thousandShots(): string {
  let hash = 0x811c9dc5;
  let numbers = 0;
  const bits = new DataView(new ArrayBuffer(8));
  const add = (value: number) => {
    bits.setFloat64(0, value);
    for (let k = 0; k < 8; k++) hash = Math.imul(hash ^ bits.getUint8(k), 0x01000193);
    numbers++;
  };
  for (let seed = 1; seed <= 1000; seed++) {
    const { rest, events, duration } = simulate(seededShot(seed));
    for (const { x, y } of rest) {
      add(x);
      add(y);
    }
    for (const { t } of events) add(t);
    add(duration);
  }
  return `${(hash >>> 0).toString(16)} of ${String(numbers)}`;
}
