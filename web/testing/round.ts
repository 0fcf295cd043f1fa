import type { Round } from '../../core/records/round.ts';

/** A round of a pool drill that has been ended, with what a test changes about it. */
export function round(change: Partial<Round>): Round {
  return {
    id: 'r',
    player: { id: 'p', name: 'P', hand: 'right' },
    table: {
      id: 't',
      name: 't',
      preset: 'pool-9ft',
      revision: 1,
      conditionsId: null,
      fingerprint: 'as it ships',
    },
    drill: 'harbour-turn',
    ownDrill: false,
    revision: 1,
    stage: 1,
    ladderStart: 0,
    mirrored: false,
    seed: 1,
    lesson: null,
    startedAt: '2026-11-01T18:00:00Z',
    endedAt: '2026-11-01T18:20:00Z',
    early: false,
    attempts: [],
    result: { value: 3, unit: 'points', better: 'high', maximum: 6, complete: true, censored: false },
    advice: null,
    ...change,
  };
}
