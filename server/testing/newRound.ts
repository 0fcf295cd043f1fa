import type { NewRound } from '../../core/records/round.ts';

/** What begins a round of the first stage of a drill, with what differs. */
export function newRound(
  where: Pick<NewRound, 'playerId' | 'tableId'>,
  change: Partial<NewRound> = {},
): NewRound {
  return {
    ...where,
    tableRevision: 1,
    conditionsId: null,
    drill: 'harbour-turn',
    revision: 1,
    stage: 1,
    ladderStart: 0,
    seed: 1,
    mirrored: false,
    lesson: null,
    startedAt: '2026-11-24T12:00:00Z',
    ...change,
  };
}
