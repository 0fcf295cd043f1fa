import { describe, expect, it } from 'vitest';
import { CUE_BALL } from '../../drill/layout.ts';
import { rackBalls } from '../../rack/rack.ts';
import { buildTable } from '../../table/table.ts';
import { breakFromPlaces } from './breakFromPlaces.ts';

const table = buildTable('pool-9ft');
const { ballRadius: radius, ballMass: mass } = table.preset;
const at = (id: string, x: number, y: number) => ({ id, x, y, radius, mass });

describe('a break by where the balls lie', () => {
  it('counts what is gone, and grades what is left', () => {
    // The 1 lies straight before a corner pocket, the cue ball half a metre behind it; three easy balls beside.
    const lying = [
      at(CUE_BALL, 1.85, 0.635),
      at('1', 2.2, 0.95),
      at('4', 2.3, 0.3),
      at('9', 0.3, 0.3),
      at('6', 0.3, 0.9),
    ];
    const read = breakFromPlaces(table, 'nine', lying);
    expect(read).toMatchObject({ balls: 5, inOff: false, control: 3 });
    const lost = breakFromPlaces(table, 'nine', lying.slice(1));
    expect(lost).toMatchObject({ balls: 5, inOff: true, control: 0, layout: read.layout });
  });

  it('finds nothing down and a closed table in a rack that nobody broke', () => {
    const racked = rackBalls('eight', table.preset);
    const read = breakFromPlaces(table, 'eight', [at(CUE_BALL, 0.5, 0.6), ...racked]);
    expect(read).toMatchObject({ balls: 0, layout: 0, inOff: false });
    expect(() => breakFromPlaces(table, 'nine', racked)).toThrow('15 balls lie there, 9 were racked');
  });
});
