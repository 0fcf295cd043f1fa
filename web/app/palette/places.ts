import type { Viewer } from '../../../core/records/account.ts';

/** Something that can be found and gone to. */
export interface Place {
  /** Tells places apart. */
  readonly to: string;
  readonly name: string;
  /** Said beside the name, and found by it. */
  readonly about: string;
  /** Found by it, too. */
  readonly also?: string;
}

interface Page {
  readonly to: string;
  readonly name: string;
  readonly about: string;
  /** Only for coaches. */
  readonly coach?: true;
}

const PAGES: readonly Page[] = [
  { to: '/', name: 'Today', about: 'what is next' },
  { to: '/hall', name: 'Hall', about: 'tables and cues' },
  { to: '/drills', name: 'Drills', about: 'the library and our own' },
  {
    to: '/lesson/evening',
    name: 'Plan the evening',
    about: 'who plays what, at which table, when',
    coach: true,
  },
  { to: '/lesson', name: 'Lessons', about: 'planned and past, rounds' },
  { to: '/players', name: 'Players', about: 'ratings and progress' },
  { to: '/players/compare', name: 'Compare two', about: 'players side by side', coach: true },
  { to: '/players/evening', name: 'The evening', about: 'what was played tonight', coach: true },
  { to: '/players/records', name: 'Records and backup', about: 'CSV, take everything with you', coach: true },
  { to: '/lab', name: 'Lab: Stroke', about: 'try a shot' },
  { to: '/lab/position', name: 'Lab: Position', about: 'the window of the next ball, routes' },
  { to: '/lab/order', name: 'Lab: Order', about: 'plan a clearance, suits, key ball' },
  { to: '/lab/kick', name: 'Lab: Kick', about: 'lines to a hidden ball, escapes, rules of thumb' },
  { to: '/lab/safety', name: 'Lab: Safety', about: 'pot or safe, what it leaves' },
  { to: '/lab/break', name: 'Lab: Break', about: 'rack, break-off, wing ball' },
  { to: '/lab/call', name: 'Lab: Call it', about: 'trainers, judgement' },
  { to: '/lab/photo', name: 'Lab: Photo', about: 'a picture of a table becomes a position' },
  { to: '/account', name: 'Your sign-in', about: 'password, e-mail' },
];

const ACTIONS: readonly Page[] = [
  { to: '/lesson/round', name: 'Start a round', about: 'score a drill at the table' },
  { to: '/drills/new', name: 'Make a drill', about: 'the designer', coach: true },
];

/** Pages and actions that are there for somebody. */
export function pagesFor({ role }: Pick<Viewer, 'role'>): readonly Place[] {
  const allowed = ({ coach }: Page) => coach === undefined || role === 'coach';
  return [...ACTIONS, ...PAGES].filter(allowed).map(({ to, name, about }) => ({ to, name, about }));
}
