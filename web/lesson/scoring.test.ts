import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { planShot } from '../../core/drill/plannedShot.ts';
import { drillSchema } from '../../core/records/drill.ts';
import { buildTable } from '../../core/table/table.ts';
import {
  endEarly,
  failed,
  landed,
  onCloth,
  potted,
  redo,
  undo,
  type Change,
  type Scoring,
} from './scoring.ts';

const drill = drillSchema.validateSync(JSON.parse(readFileSync('library/harbour-turn.drill.json', 'utf8')));
if (!isPositionDrill(drill)) throw new Error('no position drill');
const plan = planShot(drill, buildTable(drill.table));
const bands = drill.stages[1]?.bands ?? [];
const AT = '2026-11-24T12:00:00Z';
const start: Scoring = {
  shots: 10,
  attempts: [],
  undone: [],
  ended: null,
  waitsFor: 'outcome',
  cursor: plan.landing,
};

let next = 0;
const stamp = () => ({ id: `id-${String(next++)}`, at: AT });

describe('scoring a round', () => {
  it('asks for the landing after a pot and starts it at the planned place', () => {
    const asked = potted(start, plan.landing);
    expect(asked).toMatchObject({ waitsFor: 'landing', cursor: plan.landing });
    const { scoring } = landed(asked, plan.landing, plan, bands, stamp());
    expect(scoring).toMatchObject({ waitsFor: 'outcome', attempts: [{ ordinal: 1, points: 3 }] });
  });

  it('puts a tap beside the cloth onto it', () => {
    const radius = plan.shot.table.preset.ballRadius;
    expect(onCloth({ x: -1, y: 9 }, plan.shot.table)).toEqual({ x: radius, y: 1.27 - radius });
  });

  it('ends with the last shot, and undo opens it again', () => {
    let scoring = start;
    let last: readonly Change[] = [];
    for (let i = 0; i < 10; i++) ({ scoring, changes: last } = failed(scoring, 'missed', stamp()));
    expect(scoring.ended).toEqual({ at: AT, early: false });
    expect(last.map((change) => change.kind)).toEqual(['attempt', 'end']);
    expect(failed(scoring, 'missed', stamp()).changes).toEqual([]);
    const back = undo(scoring);
    expect(back.scoring).toMatchObject({ ended: null });
    expect(back.scoring.attempts).toHaveLength(9);
    expect(redo(back.scoring, AT).scoring.ended).toEqual({ at: AT, early: false });
  });

  it('undo of a half-made pot only takes the question back', () => {
    const { scoring } = failed(start, 'missed', stamp());
    const { scoring: back, changes } = undo(potted(scoring, plan.landing));
    expect(back).toMatchObject({ waitsFor: 'outcome', attempts: scoring.attempts });
    expect(changes).toEqual([]);
  });

  it('any play of keys leaves shots numbered 1 to n, and the server told the same story', () => {
    const keys = fc.array(fc.constantFrom('pot', 'miss', 'lost', 'undo', 'redo', 'end'), { maxLength: 60 });
    fc.assert(
      fc.property(keys, (played) => {
        let scoring = start;
        const told = new Map<string, number>();
        let open = true;
        for (const key of played) {
          const step =
            key === 'pot'
              ? landed(scoring, plan.landing, plan, bands, stamp())
              : key === 'undo'
                ? undo(scoring)
                : key === 'redo'
                  ? redo(scoring, AT)
                  : key === 'end'
                    ? endEarly(scoring, AT)
                    : failed(scoring, key === 'miss' ? 'missed' : 'in-off', stamp());
          scoring = step.scoring;
          for (const change of step.changes) {
            if (change.kind === 'attempt') {
              // What the server would refuse must never be sent: a shot into a closed round, or one already there.
              expect(open).toBe(true);
              expect([...told.values()]).not.toContain(change.attempt.ordinal);
              told.set(change.attempt.id, change.attempt.ordinal);
            } else if (change.kind === 'undo') {
              expect(told.delete(change.id)).toBe(true);
              open = true;
            } else {
              open = false;
            }
          }
        }
        expect(scoring.attempts.map((attempt) => attempt.ordinal)).toEqual(
          scoring.attempts.map((_, i) => i + 1),
        );
        expect([...told.keys()].sort()).toEqual(scoring.attempts.map((attempt) => attempt.id).sort());
        expect(open).toBe(scoring.ended === null);
        expect(scoring.attempts.length).toBeLessThanOrEqual(10);
      }),
      { seed: 5, numRuns: 500 },
    );
  });
});
