import { matchPath } from 'react-router';

/** What a page is for, and the keys that it has. */
export interface PageHelp {
  readonly title: string;
  /** A sentence each. */
  readonly words: readonly string[];
  /** A key as it is printed, and what it does. */
  readonly keys: readonly (readonly [key: string, does: string])[];
}

const PLAY = ['P', 'Play the shot, or stop it'] as const;
const UNDO = ['Ctrl Z', 'Take the last change back; with Shift bring it back'] as const;

/** Of every page, under its address. */
const PAGES: readonly (readonly [path: string, help: PageHelp])[] = [
  [
    '/',
    {
      title: 'Today',
      words: [
        'Who is due for what, today’s lessons, and what the last rounds mean. One tap starts a lesson.',
      ],
      keys: [],
    },
  ],
  [
    '/hall',
    {
      title: 'Hall',
      words: [
        'Your tables and cues. A table’s card says how it plays: cloth, cushions, pockets.',
        'Drills and levels go by the card, so a slow table is not held against a player.',
      ],
      keys: [],
    },
  ],
  [
    '/hall/:id',
    {
      title: 'A table',
      words: [
        'Change the card after measuring or a new cloth. Older rounds keep the card they were played on.',
      ],
      keys: [],
    },
  ],
  [
    '/hall/:id/calibrate',
    {
      title: 'Calibrate the table',
      words: [
        'Guided shots, each drawn on the table. Play it, say where the ball went and how long it took; leave out what you like.',
        'Then work it out: what the table is likely to be, and how sure that is. The card takes what is told.',
      ],
      keys: [
        ['Space', 'Start and stop the watch'],
        ['N', 'Next shot'],
      ],
    },
  ],
  [
    '/drills',
    {
      title: 'Drills',
      words: [
        'Filter by family, skill, table or level; the filters stay in the address, so you can share it.',
      ],
      keys: [],
    },
  ],
  [
    '/drills/new',
    {
      title: 'Designer',
      words: [
        'Drag balls on the table, say what is asked and how it counts. The right side says what is missing.',
      ],
      keys: [UNDO, ['Arrows', 'Move the chosen ball']],
    },
  ],
  [
    '/drills/:slug/edit',
    {
      title: 'Designer',
      words: ['A change makes a new version. Rounds that were played keep theirs.'],
      keys: [UNDO, ['Arrows', 'Move the chosen ball']],
    },
  ],
  [
    '/drills/:slug',
    {
      title: 'A drill',
      words: [
        'How it is set up, how it counts, and what each level scores on this table.',
        'Print the sheet, start a round, or take the position to the lab.',
      ],
      keys: [],
    },
  ],
  [
    '/lesson',
    {
      title: 'Lessons',
      words: ['Plan a lesson for one or more students, or score a round without one.'],
      keys: [],
    },
  ],
  [
    '/lesson/round',
    {
      title: 'Start a round',
      words: ['Who plays what, on which table. Scoring works without the network, too.'],
      keys: [],
    },
  ],
  [
    '/lesson/evening',
    {
      title: 'Plan the evening',
      words: [
        'Say who comes, on which tables and for how long: a timetable is proposed, a turn each at a time.',
        'Drag a turn to another place or tap it: it says why it is there and what another would cost.',
      ],
      keys: [UNDO, ['Esc', 'no turn chosen']],
    },
  ],
  [
    '/lesson/evening/:id',
    {
      title: 'An evening',
      words: [
        'Start begins a turn and its round with one tap, and ends the turn before it at that table.',
        'Where somebody is late or a table fails, plan the rest anew: what has begun stays.',
      ],
      keys: [],
    },
  ],
  [
    '/lesson/:id',
    {
      title: 'A lesson',
      words: ['Blocks in their order, a round of each at one tap, and at the end what it came to.'],
      keys: [],
    },
  ],
  [
    '/players',
    {
      title: 'Players',
      words: ['Each player’s ratings and where they go. Tap a name for the whole story.'],
      keys: [],
    },
  ],
  [
    '/players/compare',
    {
      title: 'Compare two',
      words: ['Two players on the drills that both have played. The better median is bold.'],
      keys: [],
    },
  ],
  [
    '/players/evening',
    {
      title: 'The evening',
      words: ['What was played on a day: a line a player, a column a drill. It can be printed.'],
      keys: [],
    },
  ],
  [
    '/players/records',
    {
      title: 'Records and backup',
      words: ['Take everything with you: tables for a spreadsheet, or the whole club in one file.'],
      keys: [],
    },
  ],
  [
    '/players/club',
    {
      title: 'Coaches and club',
      words: ['Who may sign in, codes for students, and what was put away or removed.'],
      keys: [],
    },
  ],
  [
    '/players/:id',
    {
      title: 'A player',
      words: [
        'Ratings are levels from 0 to 100: the virtual player who would score like this. The bar holds the truth nine times in ten.',
        'Below: each drill’s progress, causes, months, what to practise next, programmes and reports.',
      ],
      keys: [],
    },
  ],
  [
    '/programmes/:id',
    {
      title: 'A programme',
      words: [
        'Weeks of drills, matches and rest. Drag an entry to another day, or open it to change it.',
        'After each round the weeks to come are looked at anew: say yes or no to what is proposed.',
      ],
      keys: [
        UNDO,
        ['Enter', 'Open the entry that has the focus'],
        ['Alt ← →', 'Move it by a day'],
        ['Alt ↑ ↓', 'Move it by a week'],
      ],
    },
  ],
  [
    '/reports/:id',
    {
      title: 'A report',
      words: ['What a player and their family read. Your words save themselves; print it or keep it as PDF.'],
      keys: [],
    },
  ],
  [
    '/lab',
    {
      title: 'Lab: Stroke',
      words: ['Any balls, any stroke. Drag a ball, turn the cue, press play.'],
      keys: [
        PLAY,
        ['N', 'Next ball'],
        ['Arrows', 'Move it; with Shift by more, with Alt by a hair'],
        ['[ ]', 'Turn the aim'],
        ['+ -', 'Pace'],
        ['. ,', 'Next and previous event'],
        ['K', 'Keep to compare'],
      ],
    },
  ],
  [
    '/lab/position',
    {
      title: 'Lab: Position',
      words: ['Where the cue ball should stop for the next ball, and the routes that bring it there.'],
      keys: [UNDO],
    },
  ],
  [
    '/lab/order',
    {
      title: 'Lab: Order',
      words: [
        'The order in which to clear the table, shot by shot, and what another order costs.',
        'The chance comes from playing the plan with the player’s own errors.',
      ],
      keys: [UNDO],
    },
  ],
  [
    '/lab/kick',
    {
      title: 'Lab: Kick',
      words: ['Lines to a hidden ball by one to three cushions, and where the rules of thumb hold.'],
      keys: [UNDO],
    },
  ],
  [
    '/lab/kick/card',
    {
      title: 'Crib card',
      words: ['The lines of one table on a page to print, soft and firm.'],
      keys: [],
    },
  ],
  [
    '/lab/safety',
    {
      title: 'Lab: Safety',
      words: ['Pot or safe: each answer with what it leaves the opponent.'],
      keys: [UNDO],
    },
  ],
  [
    '/lab/break',
    {
      title: 'Lab: Break',
      words: ['Rack, place, pace: what a player’s break does over many racks, and which one pays most.'],
      keys: [],
    },
  ],
  [
    '/lab/photo',
    {
      title: 'Lab: Photo',
      words: [
        'Take a picture of the whole table, from any side, as high as you can hold it. Drag the four corners, then let it find the balls.',
        'Every ball says how exact it is. Spots and edges under “More marks” make it more exact.',
        'The picture is read on this device; a coach may keep it there with its marks. Leave people out of it, students above all.',
        'A camera over the table does the same without a picture, once it is paired.',
      ],
      keys: [['Arrows', 'Move the mark by a pixel; with Shift by ten']],
    },
  ],
  [
    '/lab/call',
    {
      title: 'Lab: Call it',
      words: ['Say what will happen before you see it. Your calls make your judgement rating.'],
      keys: [],
    },
  ],
  [
    '/account',
    { title: 'Your sign-in', words: ['Your e-mail and password, and the devices you use.'], keys: [] },
  ],
];

/** Keys that work everywhere. */
export const KEYS_EVERYWHERE: PageHelp['keys'] = [
  ['Ctrl K', 'Find a player, a drill, a page'],
  ['?', 'This help'],
  ['Esc', 'Close what is open'],
  ['Tab', 'Go on; at the top of a page, skip to it'],
];

/** The help of the page at an address; undefined for one that leads nowhere. */
export function helpFor(pathname: string): PageHelp | undefined {
  return PAGES.find(([path]) => matchPath(path, pathname) !== null)?.[1];
}
