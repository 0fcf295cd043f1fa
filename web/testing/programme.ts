import type { ProgrammeItem, ProgrammeWithRounds } from '../../core/records/programme.ts';

/** An entry of a programme, with what a test changes about it. */
export function item(id: string, change: Partial<ProgrammeItem> = {}): ProgrammeItem {
  return {
    id,
    day: '2026-11-24',
    drill: 'harbour-turn',
    stage: 1,
    minutes: 20,
    kind: 'practice',
    note: '',
    ...change,
  };
}

/** A programme of one week in November, of a player called Wren; what is not given is empty. */
export function programme(
  items: readonly ProgrammeItem[],
  {
    ticked = [],
    rounds = [],
  }: { readonly ticked?: readonly string[]; readonly rounds?: ProgrammeWithRounds['rounds'] } = {},
): ProgrammeWithRounds {
  return {
    programme: {
      id: 'programme',
      version: 1,
      player: { id: 'wren', name: 'Wren' },
      archived: false,
      document: {
        title: 'Towards the winter',
        playerId: 'wren',
        startDay: '2026-11-23',
        weeks: 1,
        matchDays: [],
        items: [...items],
      },
      ticks: ticked.map((each) => ({ item: each, at: '2026-11-24T18:00:00Z' })),
    },
    rounds: [...rounds],
  };
}
