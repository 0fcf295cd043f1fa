import { describe, expect, it } from 'vitest';
import { simulate } from '../motion/simulate.ts';
import { moving, ball } from '../testing/balls.ts';
import { simulateMotion } from '../motion/simulate.ts';
import { cardValues, ORDINARY_CONDITIONS, standardCard, tableOfCard, type TableCard } from './card.ts';
import {
  AIR_KINDS,
  BALL_STATES,
  ballSetsOf,
  CLOTH_AGES,
  CLOTH_SPEEDS,
  CUSHION_KINDS,
  POCKET_KINDS,
  WARMTHS,
} from './cardChoices.ts';
import { CARD_VALUE_NAMES, CARD_VALUES } from './cardValues.ts';
import { PRESET_IDS } from './preset.ts';
import { TABLE_PRESETS } from './presets.ts';
import { roomBehind } from './room.ts';
import { buildTable, tableFingerprint, type Table } from './table.ts';

function pool(change: Partial<TableCard> = {}): TableCard {
  return { ...standardCard('pool-9ft'), ...change };
}

/** How far a ball runs that is rolled along the table, metres of the whole way. */
function rolledDistance(table: Table): number {
  const at = ball('o', 0.3, table.width / 2, table);
  const { rest, events } = simulateMotion({ ...table, pieces: [], pockets: [], length: 100 }, [
    moving(at, { vx: 1, wy: 1 / at.radius }),
  ]);
  expect(events.some((event) => event.kind === 'ball-cushion')).toBe(false);
  return rest[0]!.x - 0.3;
}

describe('a card of which nothing else is known', () => {
  it.each(PRESET_IDS)('is the table that ships: %s', (id) => {
    expect(tableFingerprint(tableOfCard(standardCard(id), null))).toBe(tableFingerprint(buildTable(id)));
    expect(tableFingerprint(tableOfCard(standardCard(id), ORDINARY_CONDITIONS))).toBe(
      tableFingerprint(buildTable(id)),
    );
    expect(cardValues(standardCard(id), null).flatMap((value) => value.steps)).toEqual([]);
  });
});

describe('each choice', () => {
  it.each([
    ['pool-9ft', 0.013, 0.01, 0.007],
    ['pool-7ft', 0.013, 0.01, 0.007],
    ['eight-7ft', 0.014, 0.011, 0.008],
    ['snooker-12ft', 0.009, 0.007, 0.005],
  ] as const)('of the cloth of %s lets a ball roll v²/(2·μr·g)', (id, slow, medium, fast) => {
    const expected = { slow, medium, fast };
    for (const clothSpeed of CLOTH_SPEEDS) {
      const table = tableOfCard({ ...standardCard(id), clothSpeed }, null);
      expect(rolledDistance(table)).toBeCloseTo(1 / (2 * expected[clothSpeed] * 9.81), 6);
    }
  });

  it('of the pockets makes them narrower and wider on every kind of table, and every one still takes a ball', () => {
    for (const id of PRESET_IDS) {
      const [tight, ordinary, wide] = POCKET_KINDS.map(
        (pockets) => tableOfCard({ ...standardCard(id), pockets }, null).preset,
      );
      for (const place of ['corner', 'middle'] as const) {
        expect(tight![place].mouth).toBeLessThan(ordinary![place].mouth);
        expect(ordinary![place].mouth).toBeLessThan(wide![place].mouth);
        expect(tight![place].mouth).toBeGreaterThan(1.3 * 2 * tight!.ballRadius);
      }
    }
  });

  it('of tight pockets refuses a ball that a wide pocket takes', () => {
    // Rolled along a line that is off the middle of the corner's mouth, to one point.
    const potted = (pockets: TableCard['pockets'], off: number) => {
      const table = tableOfCard(pool({ pockets }), null);
      const mouth = table.pockets.find((each) => each.name === 'foot-left')!.mouth;
      const along = Math.SQRT1_2;
      const at = ball('o', mouth.x - 0.6 * along + off * along, mouth.y - 0.6 * along - off * along, table);
      const { rest } = simulateMotion(table, [moving(at, { vx: 2 * along, vy: 2 * along })]);
      return rest[0]!.pocket !== null;
    };
    const widest = (pockets: TableCard['pockets']) => {
      let off = 0;
      while (potted(pockets, off)) off += 0.001;
      return off;
    };
    expect(widest('wide')).toBeGreaterThan(widest('ordinary') + 0.002);
    expect(widest('ordinary')).toBeGreaterThan(widest('tight') + 0.002);
  });

  it('of the cushions decides how fast a ball comes back', () => {
    const back = CUSHION_KINDS.map((cushions) => {
      const table = tableOfCard(pool({ cushions }), null);
      const at = ball('o', 2, 0.4, table);
      const { rest } = simulateMotion(table, [moving(at, { vx: 1 })]);
      return rest[0]!.x;
    });
    // Once off the foot cushion: the livelier, the farther from it the ball ends.
    expect(back[0]!).toBeGreaterThan(back[1]!);
    expect(back[1]!).toBeGreaterThan(back[2]!);
  });

  it('of a cue ball keeps its material: the mass goes with the third power of the size', () => {
    for (const id of PRESET_IDS) {
      for (const ballSet of ballSetsOf(TABLE_PRESETS[id])) {
        const { preset } = tableOfCard({ ...standardCard(id), ballSet }, null);
        if (ballSet === 'equal balls') expect(preset.cueBallMass).toBe(preset.ballMass);
        if (ballSet !== 'large cue ball' && ballSet !== 'worn cue ball') continue;
        const own = TABLE_PRESETS[id];
        const scale = preset.cueBallRadius / own.cueBallRadius;
        expect(preset.cueBallMass / own.cueBallMass).toBeCloseTo(scale ** 3, 5);
        expect(preset.ballRadius).toBe(own.ballRadius);
      }
    }
  });

  it('of a large cue ball sends it on after a full stun hit, where equal balls stop', () => {
    const runsOn = (ballSet: TableCard['ballSet']) => {
      const table = tableOfCard(pool({ ballSet }), null);
      const { cueBallRadius, cueBallMass, ballRadius, ballMass } = table.preset;
      const shot = {
        table: { ...table, pieces: [], pockets: [] },
        balls: [
          { id: 'cue', x: 1, y: 0.6, radius: cueBallRadius, mass: cueBallMass },
          { id: '1', x: 1.1, y: 0.6, radius: ballRadius, mass: ballMass },
        ],
        strike: { ball: 'cue', speed: 2, direction: 0, tip: { side: 0, height: 0 }, elevation: 0 },
      };
      const { rest } = simulate(shot);
      return rest.find((each) => each.id === 'cue')!.x - 1;
    };
    expect(runsOn('large cue ball')).toBeGreaterThan(runsOn('standard') + 0.02);
  });

  it('has a reason, and stays inside what each number may be, in every combination', () => {
    const all = <T>(lists: readonly (readonly T[])[]): readonly (readonly T[])[] =>
      lists.reduce<readonly (readonly T[])[]>(
        (some, list) => some.flatMap((each) => list.map((value) => [...each, value])),
        [[]],
      );
    const wrong: string[] = [];
    const kinds = [CLOTH_SPEEDS, CLOTH_AGES, CUSHION_KINDS, AIR_KINDS, WARMTHS, BALL_STATES];
    for (const preset of PRESET_IDS) {
      for (const [speed, age, rubber, air, warmth, balls] of all(
        kinds.map((kind) => kind.map((_, i) => i)),
      )) {
        const card = {
          ...standardCard(preset),
          clothSpeed: CLOTH_SPEEDS[speed!]!,
          clothAge: CLOTH_AGES[age!]!,
          cushions: CUSHION_KINDS[rubber!]!,
        };
        const conditions = { air: AIR_KINDS[air!]!, warmth: WARMTHS[warmth!]!, balls: BALL_STATES[balls!]! };
        for (const { name, value, steps, preset: own } of cardValues(card, conditions)) {
          const { least, most } = CARD_VALUES[name];
          if (value < least || value > most)
            wrong.push(`${preset}: ${name} ${String(value)} is out of bounds`);
          if (value !== own && steps.every((step) => step.reason.length < 10))
            wrong.push(`${name}: no reason`);
        }
      }
    }
    expect(wrong).toEqual([]);
  });
});

describe('a measured number', () => {
  it.each(CARD_VALUE_NAMES)('replaces what the choices give, with its source as the reason: %s', (name) => {
    const { least, most } = CARD_VALUES[name];
    const value = Number((0.4 * least + 0.6 * most).toPrecision(5));
    const card = pool({
      clothSpeed: 'slow',
      pockets: 'wide',
      ballSet: 'worn cue ball',
      measured: [{ name, value, source: 'by hand' }],
    });
    const found = cardValues(card, null).find((each) => each.name === name)!;
    expect(found.value).toBe(value);
    expect(found.steps.at(-1)).toEqual({ to: value, reason: 'by hand' });
    expect(CARD_VALUES[name].read(tableOfCard(card, null).preset)).toBeCloseTo(value, 12);
    expect(tableFingerprint(tableOfCard(card, null))).not.toBe(
      tableFingerprint(tableOfCard({ ...card, measured: [] }, null)),
    );
  });

  it('is still changed by tonight’s conditions: 0.008 rolls like 0.00896 in damp air', () => {
    const card = pool({ measured: [{ name: 'rollingFriction', value: 0.008, source: 'lag shots' }] });
    const damp = tableOfCard(card, { ...ORDINARY_CONDITIONS, air: 'damp' });
    expect(damp.parameters.rollingFriction).toBeCloseTo(0.00896, 9);
    expect(rolledDistance(damp)).toBeCloseTo(1 / (2 * 0.00896 * 9.81), 6);
  });
});

describe('room behind a ball', () => {
  const size = { length: 2.54, width: 1.27 };
  const walls = { head: null, foot: null, right: 1.2, left: null };

  it('is the way from the ball back to the wall, along the cue', () => {
    // 0.3 m from the right-hand cushion, straight across: 0.3 + 1.2.
    expect(roomBehind(size, walls, { x: 1, y: 0.3 }, Math.PI / 2)).toBeCloseTo(1.5, 12);
    // At 30° to the cushion the wall is twice as far along the cue.
    expect(roomBehind(size, walls, { x: 1, y: 0.3 }, Math.PI / 6)).toBeCloseTo(3, 12);
  });

  it('is without end towards a free side, and along a wall', () => {
    expect(roomBehind(size, walls, { x: 1, y: 0.3 }, -Math.PI / 2)).toBe(Infinity);
    expect(roomBehind(size, walls, { x: 1, y: 0.3 }, 0)).toBe(Infinity);
  });

  it('is the shorter of two where a corner is in the way', () => {
    const corner = { ...walls, head: 0.5 };
    const at = { x: 0.2, y: 0.2 };
    const along = Math.SQRT1_2;
    expect(roomBehind(size, corner, at, Math.PI / 4)).toBeCloseTo(Math.min(0.7, 1.4) / along, 12);
  });
});
