import type { School } from '../../core/records/drill.ts';

interface SchoolCard {
  readonly question: string;
  readonly one: string;
  readonly other: string;
}

const CARDS: Readonly<Record<School, SchoolCard>> = {
  'side spin': {
    question: 'side',
    one: 'Hardly ever: a plain ball keeps the pot and the line.',
    other: 'Running side carries the ball round at less pace.',
  },
  'leaving angles': {
    question: 'leaving angles',
    one: 'Straight and stop: short ways, no cushion.',
    other: 'Always leave an angle, use the cushions, play into the line.',
  },
  'draw or follow': {
    question: 'draw or follow',
    one: 'Draw is easier to judge.',
    other: 'Follow on the natural line is.',
  },
  margin: {
    question: 'on which side to err',
    one: 'Short.',
    other: 'Long, towards the options.',
  },
  'curved escapes': {
    question: 'curved escapes',
    one: 'The last resort.',
    other: 'Better than jumping; learn them.',
  },
  'break pace and hit': {
    question: 'pace and hit of the break',
    one: 'Full power, head on.',
    other: 'Below full pace with control; on the second ball if power lacks.',
  },
  'draw on the break': {
    question: 'draw on the break',
    one: 'None: it wastes power.',
    other: 'A little low, to hold the cue ball.',
  },
  'the rack': {
    question: 'the rack',
    one: 'Every ball tight.',
    other: 'One known gap helps.',
  },
  practice: {
    question: 'how to practise',
    one: 'One drill alone for weeks.',
    other: 'Mixed sets.',
  },
  difficulty: {
    question: 'how hard',
    one: 'At your level.',
    other: 'Hard is fine: chase your own best.',
  },
  'shot to nothing': {
    question: 'the shot to nothing',
    one: 'Hard, and safe if missed.',
    other: 'Short, and attacking.',
  },
};

export function schoolCard(school: School): SchoolCard {
  return CARDS[school];
}
