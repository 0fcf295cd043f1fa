import { describe, expect, it } from 'vitest';
import { createRandom, type Random } from '../random/random.ts';
import { ball, POOL, shotOf, SNOOKER } from '../testing/balls.ts';
import { smallStepRest } from '../testing/smallSteps.ts';
import type { Table } from '../table/table.ts';
import type { BallOnTable, Shot } from './shot.ts';
import { simulate } from './simulate.ts';

/** Positions must agree to this, metres. */
const AGREE = 1e-3;
const STEP = 8e-5;
/**
 * A shot is chaotic, for this comparison, when a change that is far below what anybody can see moves a ball by more
 * than a tenth of what is asked: the direction turned by 2·10⁻⁶ rad and the pace changed by as many parts.
 */
const NUDGE = 2e-6;

function isChaotic(shot: Shot): boolean {
  const plain = simulate(shot).rest;
  return [-1, 1].some((sign) => {
    const { strike } = shot;
    const nudged = simulate({
      ...shot,
      strike: {
        ...strike,
        direction: strike.direction + sign * NUDGE,
        speed: strike.speed * (1 + sign * NUDGE),
      },
    }).rest;
    return nudged.some(
      (b, i) =>
        b.pocket !== plain[i]!.pocket || Math.hypot(b.x - plain[i]!.x, b.y - plain[i]!.y) > 0.1 * AGREE,
    );
  });
}

const between = (random: Random, low: number, high: number) => low + (high - low) * random.uniform();

function tip(random: Random) {
  return { side: between(random, -0.35, 0.35), height: between(random, -0.35, 0.35) };
}

/** One ball and several cushions, with side. */
function around(random: Random, table: Table): Shot {
  const place = ball(
    'cue',
    between(random, 0.3, table.length - 0.3),
    between(random, 0.3, table.width - 0.3),
    table,
  );
  return shotOf(table, [place], {
    speed: between(random, 1, 4),
    direction: 2 * Math.PI * random.uniform(),
    tip: tip(random),
  });
}

/** A cut at some thickness with top, draw or side, and on to the cushions if there are any. */
function cut(random: Random, table: Table): Shot {
  const object = ball('1', table.length / 2, between(random, 0.3, table.width - 0.3), table);
  const away = between(random, 0.2, 0.6);
  const from = 2 * Math.PI * random.uniform();
  const cue = ball('cue', object.x + away * Math.cos(from), object.y + away * Math.sin(from), table);
  const inside = cue.y > 0.1 && cue.y < table.width - 0.1;
  if (!inside) return cut(random, table);
  const width = (between(random, -0.85, 0.85) * 2 * table.preset.ballRadius) / away;
  return shotOf(table, [cue, object], {
    speed: between(random, 0.7, 2.5),
    direction: from + Math.PI + width,
    tip: tip(random),
  });
}

/** Six balls in a tight triangle, hit by the cue ball. */
function pack(random: Random, table: Table): Shot {
  const r = table.preset.ballRadius;
  const balls: BallOnTable[] = [];
  for (let row = 0; row < 3; row++) {
    for (let k = 0; k <= row; k++) {
      const x = 1.2 + row * r * Math.sqrt(3) * 1.00001;
      balls.push(ball(`${row}${k}`, x, table.width / 2 + (2 * k - row) * r * 1.00001, table));
    }
  }
  const cue = ball('cue', 0.9, table.width / 2 + between(random, -0.03, 0.03), table);
  return shotOf(table, [cue, ...balls], {
    speed: between(random, 1, 3),
    direction: between(random, -0.03, 0.03),
  });
}

/** Two balls frozen together, the first hit at some angle. */
function plant(random: Random, table: Table): Shot {
  const r = table.preset.ballRadius;
  const angle = between(random, -0.5, 0.5);
  const first = ball('1', 1.2, table.width / 2, table);
  const second = ball(
    '2',
    first.x + 2 * r * 1.000001 * Math.cos(angle),
    first.y + 2 * r * 1.000001 * Math.sin(angle),
    table,
  );
  return shotOf(table, [ball('cue', 0.9, table.width / 2, table), first, second], {
    speed: between(random, 0.8, 2.5),
    direction: between(random, -0.06, 0.06),
    tip: { side: 0, height: between(random, -0.3, 0.3) },
  });
}

/** Kinds of shot, and how many of each are compared; those that are chaotic or lost are drawn anew. */
const KINDS = [
  ['one ball and several cushions with side', around, 12],
  ['cuts with top, draw and side, then cushions', cut, 9],
  ['a pack of six', pack, 4],
  ['a plant', plant, 5],
] as const;

/** At least a third of the drawn shots must do. */
const DRAWS = 3;

describe.each([
  ['pool', POOL],
  ['snooker', SNOOKER],
] as const)('on the %s table the simulator agrees with small steps within 1 mm', (name, table) => {
  it.each(KINDS)(
    '%s',
    (kind, make, wanted) => {
      const random = createRandom(name.length * 1000 + kind.length);
      let compared = 0;
      for (let n = 0; n < DRAWS * wanted && compared < wanted; n++) {
        const shot = make(random, table);
        if (isChaotic(shot)) continue;
        const stepped = smallStepRest(shot, STEP);
        if (stepped === undefined) continue;
        compared++;
        const { rest } = simulate(shot);
        rest.forEach((b, i) => {
          const off = Math.hypot(b.x - stepped[i]!.x, b.y - stepped[i]!.y);
          expect(off, `shot ${n}, ball ${b.id}`).toBeLessThan(AGREE);
        });
      }
      expect(compared).toBe(wanted);
    },
    300_000,
  );
});
