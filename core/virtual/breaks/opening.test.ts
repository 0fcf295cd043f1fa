import { describe, expect, it } from 'vitest';
import { contactDuration, hertzStiffness } from '../../motion/hertz.ts';
import { positionAt } from '../../motion/path.ts';
import { simulate } from '../../motion/simulate.ts';
import { drawnRack } from '../../rack/drawnRack.ts';
import { rackBalls, type RackKind } from '../../rack/rack.ts';
import { RACK_QUALITIES } from '../../rack/rackers.ts';
import { createRandom } from '../../random/random.ts';
import { POOL } from '../../testing/balls.ts';
import { FROM_THE_RAIL } from '../../testing/breakStroke.ts';
import { breakShot } from './breakShot.ts';
import { OPENING, openingOf } from './opening.ts';

const MIDDLE = { ...FROM_THE_RAIL, from: { x: POOL.length / 4, y: POOL.width / 2 } };
const straightAt = (kind: RackKind) => openingOf(breakShot(POOL, rackBalls(kind, POOL.preset), MIDDLE));
const key = (ids: readonly string[]) => [...ids].sort().join();

describe('a break from the first contact on', () => {
  it('begins with cue ball and head ball, and goes from row to row, on both sides at once', () => {
    const { hit, contacts } = straightAt('nine');
    expect(contacts[0]).toMatchObject({ after: 0, ids: ['cue', '1'] });
    // From 65 cm away at six metres a second, less what the cloth takes.
    expect(hit).toBeGreaterThan(0.1);
    const at = new Map(contacts.map(({ ids, after }) => [key(ids), after]));
    for (const [right, left] of [
      ['1,2', '1,3'],
      ['2,4', '3,5'],
      ['2,9', '3,9'],
      ['4,6', '5,7'],
      ['6,8', '7,8'],
    ] as const) {
      expect(at.get(right)).toBeCloseTo(at.get(left) ?? NaN, 9);
    }
    const row = (pair: string) => at.get(pair) ?? NaN;
    expect(row('1,2')).toBeGreaterThan(0);
    expect(row('2,4')).toBeGreaterThan(row('1,2'));
    expect(row('4,6')).toBeGreaterThan(row('2,4'));
    expect(row('6,8')).toBeGreaterThan(row('4,6'));
    // The blow runs through four rows in less than a millisecond: a contact lasts a third of one.
    expect(row('6,8')).toBeLessThan(1e-3);
  });

  it('presses as Hertz has it where the first two are apart before the blow goes on', () => {
    const { contacts, result, hit } = openingOf(
      breakShot(POOL, rackBalls('nine', POOL.preset, 1.2e-3), MIDDLE),
    );
    const cue = result.paths!.find(({ id }) => id === 'cue')!;
    const speed = (positionAt(cue, hit! - 1e-4).x - positionAt(cue, hit! - 2e-4).x) / 1e-4;
    const { ballRadius: radius, ballMass: mass, cueBallMass, cueBallRadius } = POOL.preset;
    const stiffness = hertzStiffness(cueBallRadius, radius);
    const effective = 1 / (1 / mass + 1 / cueBallMass);
    const deepest = ((1.25 * effective * speed ** 2) / stiffness) ** 0.4;
    const [first] = contacts;
    // What the contact loses to damping makes it a little softer and shorter than the closed form.
    expect(first!.force! / (stiffness * deepest ** 1.5)).toBeGreaterThan(0.93);
    expect(first!.force! / (stiffness * deepest ** 1.5)).toBeLessThan(1.01);
    expect(first!.until / contactDuration(speed, effective, stiffness)).toBeGreaterThan(0.9);
    expect(first!.until / contactDuration(speed, effective, stiffness)).toBeLessThan(1.1);
  });

  it('tells a gap by the time that the ball before it needs to cross it', () => {
    const gap = 0.4e-3;
    const wish = { kind: 'nine', quality: RACK_QUALITIES.tight } as const;
    const rack = drawnRack(
      { ...wish, gaps: [{ between: [0, 1], gap }], order: ['1', '2', '3', '4', '9', '5', '6', '7', '8'] },
      POOL.preset,
      createRandom(1),
    );
    const { contacts } = openingOf(breakShot(POOL, rack, MIDDLE));
    const after = (pair: string) => contacts.find(({ ids }) => key(ids) === pair)?.after ?? NaN;
    const late = after('1,2') - after('1,3');
    // The head ball is no faster than a ball that is hit full: about six metres a second.
    expect(late).toBeGreaterThan((0.5 * gap) / 6.5);
    expect(late).toBeLessThan(1e-3);
  });

  it('plays the same break as without looking, and its paths go on without a jump', () => {
    const shot = breakShot(POOL, rackBalls('eight', POOL.preset), { ...MIDDLE, covered: 0.8 });
    const { result, hit, contacts } = openingOf(shot);
    const plain = simulate(shot, { paths: true });
    expect(result.rest).toEqual(plain.rest);
    expect(result.events).toEqual(plain.events);
    expect(plain.presses).toBeUndefined();
    expect(contacts.length).toBeGreaterThan(20);
    for (const path of result.paths!) {
      for (let t = hit! - 1e-3; t < hit! + OPENING; t += 1e-5) {
        const [a, b] = [positionAt(path, t), positionAt(path, t + 1e-5)];
        expect(Math.hypot(b.x - a.x, b.y - a.y)).toBeLessThan(1.6e-4);
      }
    }
  });

  it('that meets nothing has no contact', () => {
    const shot = breakShot(POOL, rackBalls('nine', POOL.preset), MIDDLE);
    const away = { ...shot, strike: { ...shot.strike, direction: Math.PI, speed: 0.5 } };
    expect(openingOf(away)).toMatchObject({ hit: undefined, contacts: [] });
  });
});
