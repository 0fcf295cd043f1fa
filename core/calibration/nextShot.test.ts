import { describe, expect, it } from 'vitest';
import { executionErrorOf } from '../player/levels.ts';
import { buildTable } from '../table/table.ts';
import { guidedShots, type ShotKind } from './guidedShots.ts';
import { mostTelling } from './nextShot.ts';
import { BY_HAND, errorOf } from './reading.ts';
import { unknownsOf } from './unknowns.ts';

const PLAYER = executionErrorOf('team', 'pool');
const card = buildTable('pool-9ft');
const unknowns = unknownsOf(card.preset, ['house']);
const shots = guidedShots(card).map((guided) => ({
  guided,
  cue: 'house',
  errors: guided.readings.map((reading) => errorOf(reading, BY_HAND)),
}));

/** Everything is known but some. */
function knownBut(...open: readonly string[]) {
  return {
    at: unknowns.map(() => 0),
    open: unknowns.map(({ name }) => (open.includes(name) ? 1 : 1 / 50)),
  };
}

const kindOf = (id: string | undefined): ShotKind | undefined =>
  shots.find(({ guided }) => guided.id === id)?.guided.kind;

describe('the shot that would tell most', () => {
  it('of the cue’s end is the one with full side, and that is what it narrows', () => {
    const next = mostTelling(card, unknowns, shots, knownBut('endMass'), PLAYER, { tables: 250 });
    expect(kindOf(next?.id)).toBe('squirt');
    expect(unknowns[next?.narrows ?? -1]?.name).toBe('endMass');
    expect(next?.to).toBeLessThan(0.4);
  });

  it('of the cloth is one that rolls far', () => {
    const next = mostTelling(card, unknowns, shots, knownBut('rollingFriction'), PLAYER, { tables: 250 });
    expect(unknowns[next?.narrows ?? -1]?.name).toBe('rollingFriction');
    expect(['lag', 'angle', 'three cushions']).toContain(kindOf(next?.id));
  });

  it('is none among shots that cannot tell what is open', () => {
    const plain = shots.filter(({ guided }) => guided.id === 'lag 1');
    const next = mostTelling(card, unknowns, plain, knownBut('ballFriction'), PLAYER, { tables: 250 });
    // What it may still say is of what is known already.
    expect(next === undefined || unknowns[next.narrows]?.name !== 'ballFriction').toBe(true);
  });
});
