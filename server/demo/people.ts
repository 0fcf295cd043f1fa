import type { LevelName } from '../../core/player/levels.ts';
import type { Player } from '../../core/records/player.ts';
import type { Welcome } from '../../core/records/account.ts';

export const DEMO_CLUB = 'Kittiwake Ferry Hall';

export const DEMO_COACHES = [
  { name: 'Morwenna Oake', email: 'morwenna@kittiwake.example', password: 'ferry-at-dawn' },
  { name: 'Tobiah Lisk', email: 'tobiah@kittiwake.example', password: 'gangway-two' },
] as const;

/** How a player's rating went over the months: at which share of the time it was what; straight in between. */
export type Career = readonly (readonly [share: number, rating: number])[];

export interface DemoPlayer {
  readonly name: string;
  readonly hand: Player['hand'];
  readonly drills: readonly string[];
  /** Days ago of the first round, and of the last. */
  readonly from: number;
  readonly to: number;
  readonly roundsPerDrill: number;
  readonly career: Career;
}

/** Rounds of drills that are counted otherwise than by landings, by virtual players of one level. */
/** Of everything that is drawn for the demo. */
export const DEMO_SEED = 4610;

export const DEMO_OTHER_ROUNDS: readonly {
  readonly player: string;
  readonly level: LevelName;
  readonly drill: string;
  readonly rounds: number;
  /** Days ago of the first and the last. */
  readonly from: number;
  readonly to: number;
}[] = [
  { player: 'Wren Sallow', level: 'team', drill: 'frozen-pair', rounds: 6, from: 60, to: 1 },
  { player: 'Wren Sallow', level: 'team', drill: 'far-shores', rounds: 4, from: 50, to: 4 },
  { player: 'Idris Pell', level: 'team', drill: 'frozen-pair', rounds: 4, from: 40, to: 1 },
  { player: 'Idris Pell', level: 'team', drill: 'far-shores', rounds: 4, from: 45, to: 6 },
  { player: 'Idris Pell', level: 'team', drill: 'eight-head', rounds: 12, from: 150, to: 3 },
  { player: 'Wren Sallow', level: 'team', drill: 'one-bounce', rounds: 6, from: 62, to: 2 },
  { player: 'Idris Pell', level: 'team', drill: 'leave-nothing', rounds: 5, from: 55, to: 5 },
  { player: 'Bede Harrow', level: 'title', drill: 'leave-nothing', rounds: 3, from: 33, to: 4 },
  { player: 'Osric Vane', level: 'match', drill: 'replay', rounds: 5, from: 36, to: 3 },
  { player: 'Osric Vane', level: 'match', drill: 'thin-and-home', rounds: 4, from: 28, to: 2 },
  { player: 'Osric Vane', level: 'match', drill: 'moored', rounds: 5, from: 40, to: 4 },
  { player: 'Osric Vane', level: 'match', drill: 'three-red-break', rounds: 3, from: 30, to: 6 },
];

/** The throw and the errors of a round: another one for every player, drill and round. @param course its place in DEMO_OTHER_ROUNDS */
export function otherSeed(course: number, round: number): number {
  return DEMO_SEED + 100 * course + round;
}

const POOL = ['anchor-drop', 'harbour-turn', 'back-to-the-quay'];
const SNOOKER = ['held-for-the-black', 'round-to-the-blue', 'drawn-back-for-the-blue'];

/** A dozen made-up students: steady climbs, a plateau, a comeback, a first week, somebody who stayed away. */
export const DEMO_PLAYERS: readonly DemoPlayer[] = [
  {
    name: 'Wren Sallow',
    hand: 'left',
    drills: POOL,
    from: 168,
    to: 1,
    roundsPerDrill: 22,
    career: [
      [0, 34],
      [1, 62],
    ],
  },
  {
    name: 'Idris Pell',
    hand: 'right',
    drills: POOL,
    from: 160,
    to: 1,
    roundsPerDrill: 20,
    career: [
      [0, 30],
      [0.35, 50],
      [1, 50],
    ],
  },
  {
    name: 'Junia Marsh',
    hand: 'right',
    drills: POOL,
    from: 175,
    to: 3,
    roundsPerDrill: 18,
    career: [
      [0, 60],
      [0.4, 62],
      [0.55, 34],
      [1, 64],
    ],
  },
  {
    name: 'Pim Thorncot',
    hand: 'right',
    drills: ['anchor-drop'],
    from: 6,
    to: 1,
    roundsPerDrill: 5,
    career: [
      [0, 6],
      [1, 12],
    ],
  },
  {
    name: 'Osric Vane',
    hand: 'right',
    drills: SNOOKER,
    from: 150,
    to: 4,
    roundsPerDrill: 16,
    career: [
      [0, 48],
      [1, 70],
    ],
  },
  {
    name: 'Tamsin Gull',
    hand: 'right',
    drills: SNOOKER,
    from: 140,
    to: 2,
    roundsPerDrill: 18,
    career: [
      [0, 22],
      [1, 45],
    ],
  },
  {
    name: 'Bede Harrow',
    hand: 'left',
    drills: SNOOKER,
    from: 172,
    to: 9,
    roundsPerDrill: 14,
    career: [
      [0, 78],
      [1, 84],
    ],
  },
  {
    name: 'Lowen Carrick',
    hand: 'right',
    drills: POOL,
    from: 120,
    to: 41,
    roundsPerDrill: 9,
    career: [
      [0, 40],
      [1, 44],
    ],
  },
  {
    name: 'Marit Quill',
    hand: 'right',
    drills: [...POOL, ...SNOOKER],
    from: 90,
    to: 5,
    roundsPerDrill: 8,
    career: [
      [0, 55],
      [1, 58],
    ],
  },
  {
    name: 'Ansel Brook',
    hand: 'right',
    drills: POOL,
    from: 100,
    to: 6,
    roundsPerDrill: 12,
    career: [
      [0, 18],
      [1, 33],
    ],
  },
  {
    name: 'Petra Nightingale',
    hand: 'left',
    drills: SNOOKER,
    from: 80,
    to: 12,
    roundsPerDrill: 10,
    career: [
      [0, 60],
      [1, 52],
    ],
  },
  {
    name: 'Corin Ash',
    hand: 'right',
    drills: ['harbour-turn', 'back-to-the-quay'],
    from: 60,
    to: 7,
    roundsPerDrill: 9,
    career: [
      [0, 70],
      [1, 76],
    ],
  },
];

/** Wren has a sign-in of her own, so that the player's side of the demo can be seen. */
export const DEMO_PLAYER_SIGN_IN = {
  name: 'Wren Sallow',
  email: 'wren@kittiwake.example',
  password: 'left-bank-pot',
} as const;

export const DEMO_SIGN_INS: Welcome['demo'] = [
  ...DEMO_COACHES.map((coach) => ({ ...coach, role: 'coach' as const })),
  { ...DEMO_PLAYER_SIGN_IN, role: 'player' as const },
];
