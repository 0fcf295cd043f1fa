import type { GuidedShot, ShotKind } from '../../../core/calibration/guidedShots.ts';
import type { Moment, Reading } from '../../../core/calibration/reading.ts';
import { paceWord } from '../../words/eventWords.ts';
import { sideWord } from '../../words/kickWords.ts';
import { tipWords } from '../../words/tipWords.ts';
import { termIn, type Vocabulary } from '../../words/vocabulary.ts';

const TITLES: Readonly<Record<ShotKind, string>> = {
  lag: 'Up the table and back',
  angle: 'Into a cushion',
  'running side': 'Running side',
  'check side': 'Check side',
  stun: 'Stun',
  'three cushions': 'Three cushions',
  squirt: 'Full side, straight up the table',
  'half ball': 'Half-ball hit',
};

const TELLS: Readonly<Record<ShotKind, string>> = {
  lag: 'It tells how fast the cloth is and what the cushions give back.',
  angle: 'It tells what the cushion does to the angle.',
  'running side': 'It tells how much side the cushion takes.',
  'check side': 'It tells how much side the cushion takes.',
  stun: 'It tells how the cloth grips a sliding ball.',
  'three cushions': 'It tells of everything at once.',
  squirt: 'It tells how much your cue squirts.',
  'half ball': 'It tells how one ball throws the other.',
};

/** "Up the table and back: soft" */
export function shotTitle({ kind, shot }: GuidedShot): string {
  return `${TITLES[kind]}: ${paceWord(shot.strike.speed)}`;
}

/** How a guided shot is played, and what for. */
export function shotSentence({ kind, shot }: GuidedShot): string {
  const { tip, speed } = shot.strike;
  const where = tip.side === 0 && tip.height === 0 ? 'in the middle' : tipWords(tip);
  return `Set the balls as drawn and play along the dashed line, ${paceWord(speed)}, the tip ${where}, the butt low. ${TELLS[kind]}`;
}

const NUMBERS = ['first', 'second', 'third', 'fourth'];

function momentWords(moment: Moment, vocabulary: Vocabulary): string {
  if (moment === 'tip') return 'the tip';
  if (moment === 'rest') return 'the stop';
  if (moment === 'hit') return 'the hit';
  return `the ${NUMBERS[moment.cushion - 1] ?? ''} ${termIn(vocabulary, 'cushion')}`;
}

/** What is entered for a reading, without its unit. */
export function readingWords(reading: Reading, vocabulary: Vocabulary): string {
  const ball = reading.ball === 'cue' ? '' : `the ${reading.ball}: `;
  const words = () => {
    if (reading.kind === 'time')
      return `from ${momentWords(reading.from, vocabulary)} to ${momentWords(reading.to, vocabulary)}`;
    if (reading.kind === 'rest')
      return `stops, from the ${reading.axis === 'x' ? sideWord('head', vocabulary) : 'right'}`;
    const { side, cushion } = reading;
    const from = side === 'head' || side === 'foot' ? 'right' : sideWord('head', vocabulary);
    return `${NUMBERS[cushion - 1] ?? ''} ${termIn(vocabulary, 'cushion')} (${sideWord(side, vocabulary)}), from the ${from}`;
  };
  const text = `${ball}${words()}`;
  return text.charAt(0).toUpperCase() + text.slice(1);
}
