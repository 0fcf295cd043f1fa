import type { StoredDrill } from '../db/queries/drills.ts';
import { standardCard, type TableCard } from '../../core/table/card.ts';
import type { Conditions } from '../../core/table/cardChoices.ts';

export interface DemoTable {
  readonly name: string;
  readonly card: TableCard;
  /** What was noted of its conditions, by hours ago. */
  readonly notes: readonly {
    readonly hoursAgo: number;
    readonly conditions: Conditions;
    readonly note: string;
  }[];
}

/** The tables of the ferry hall: the two where lessons are, and two that play otherwise. */
export const DEMO_TABLES: readonly DemoTable[] = [
  {
    name: 'Pool room, table 2',
    card: standardCard('pool-9ft'),
    notes: [
      {
        hoursAgo: 52,
        conditions: { air: 'damp', warmth: 'cold', balls: 'ordinary' },
        note: 'Rain since noon, heating off until six.',
      },
    ],
  },
  {
    name: 'Pool room, table 4',
    card: {
      ...standardCard('pool-9ft'),
      clothSpeed: 'fast',
      clothAge: 'new',
      cushions: 'lively',
      pockets: 'tight',
      measured: [
        {
          name: 'rollingFriction',
          value: 0.0078,
          source: 'six lag shots over two lengths, stop watch',
        },
      ],
      room: { head: null, foot: null, right: 1.2, left: null },
    },
    notes: [
      {
        hoursAgo: 2,
        conditions: { air: 'dry', warmth: 'warm', balls: 'clean' },
        note: 'Stove on, balls washed this morning.',
      },
    ],
  },
  { name: 'Snooker room, table 1', card: standardCard('snooker-12ft'), notes: [] },
  {
    name: 'Snooker room, table 2',
    card: { ...standardCard('snooker-12ft'), clothSpeed: 'slow', clothAge: 'worn', cushions: 'dull' },
    notes: [],
  },
];

/** The table on which the demo's players play a drill: the first of its kind. */
export function homeOf({ document }: Pick<StoredDrill, 'document'>): DemoTable {
  const table = DEMO_TABLES.find(({ card }) => card.preset === document.table);
  if (table === undefined) throw new Error(`loadDemo: there is no table for ${document.slug}`);
  return table;
}
