import type { EndKind } from '../../core/tactics/turnEnd.ts';
import type { Answer, OutcomeShare, Ranking } from '../../core/tactics/ranking.ts';
import type { AnswerKind } from '../../core/tactics/kindOfAnswer.ts';
import type { Game } from '../../core/rules/foulCost.ts';
import { toDegrees } from '../../core/math/angle.ts';
import type { AimPoint } from '../../core/shot/kicks/aimPoint.ts';
import type { TablePreset } from '../../core/table/preset.ts';
import type { AnswerTolerance } from '../../core/tactics/answerTolerance.ts';
import { aimWords, cushionsWords } from './kickWords.ts';
import { percent } from './units.ts';
import { termIn, type Vocabulary } from './vocabulary.ts';

/** Worths that differ by less are alike to a player: points of a hundred, or of a frame. */
const ALIKE = { chance: 0.03, points: 1 } as const;

const isPoints = (game: Game) => game === 'snooker';

/** "−21 of 100", or points at snooker: "−4.2 points" */
export function worthWords(worth: number, game: Game): string {
  const sign = worth < 0 ? '−' : '+';
  const size = Math.abs(worth);
  return isPoints(game) ? `${sign}${size.toFixed(1)} points` : `${sign}${Math.round(100 * size)} of 100`;
}

/** What an answer is worth: "43 % of the frame" where the frame counts. */
export function answerWorth({ worth, frame }: Pick<Answer, 'worth' | 'frame'>, game: Game): string {
  return frame === undefined ? worthWords(worth, game) : `${percent(frame)} of the frame`;
}

/** "Hide the cue ball from the 3, by the left rail" */
export function answerName({ name, ball, cushions }: AnswerKind, vocabulary: Vocabulary): string {
  const by = cushions.length === 0 ? '' : `, ${cushionsWords(cushions, vocabulary)}`;
  switch (name) {
    case 'pot':
      return `Pot the ${ball}${by}`;
    case 'hide':
      return `Meet the ${ball} and hide${by}`;
    case 'jump':
      return `Jump to the ${ball}`;
    case 'swerve':
      return `Swerve to the ${ball}`;
    case 'foul':
      return ball === '' ? 'Foul on purpose, meeting nothing' : `Foul on purpose: meet the ${ball} first`;
    case 'kick':
      return `${termIn(vocabulary, 'kick') === 'kick' ? 'Kick at' : 'Escape to'} the ${ball}${by}`;
    case 'thin hit':
      return `Thin off the ${ball}`;
    case 'half hit':
      return `Half of the ${ball}`;
    case 'full hit':
      return `Full on the ${ball}`;
  }
}

const END_WORDS: Readonly<Record<OutcomeShare['kind'], string>> = {
  pot: 'pot',
  'nothing on': 'nothing left on',
  'half a chance': 'half a chance left',
  'wide open': 'left wide open',
  foul: 'foul',
};

/** Where an answer is aimed, and how far it may be off. */
export interface AnswerAim {
  /** On a cushion where it goes by one first. */
  readonly aim: AimPoint | undefined;
  /** Share of the ball's width that a straight hit covers; undefined where a cushion comes first, or no ball is met. */
  readonly covered: number | undefined;
  /** As planned, and how far line and pace may be off until it ends otherwise. */
  readonly ends: EndKind;
  readonly tolerance: AnswerTolerance;
}

/** Where it is aimed, and how far it may be off: "cover 45 % of the ball; planned: nothing left on; that holds up to 0.8° …" */
export function answerAimWords(
  { aim, covered, ends, tolerance }: AnswerAim,
  preset: TablePreset,
  vocabulary: Vocabulary,
): string {
  const { left, right, softer, harder } = tolerance;
  const degrees = (angle: number) => `${toDegrees(angle).toFixed(1)}°`;
  const where =
    aim !== undefined
      ? aimWords(aim, preset, vocabulary)
      : covered === undefined
        ? 'no ball is met'
        : `cover ${percent(covered)} of the ball`;
  return `${where}. Planned: ${END_WORDS[ends]}; that holds up to ${degrees(left)} to the left and ${degrees(right)} to the right, ${percent(softer)} softer and ${percent(harder)} harder.`;
}

/** "nothing left on 72 %, left wide open 19 %, foul 1 %": the three likeliest. */
export function outcomesWords(outcomes: readonly OutcomeShare[]): string {
  return [...outcomes]
    .sort((a, b) => b.share - a.share)
    .slice(0, 3)
    .map(({ kind, share }) => `${END_WORDS[kind]} ${percent(share)}`)
    .join(', ');
}

/** On which side it is cheaper to be off, in line and in pace; nothing where it makes no difference that can be seen. */
export function missAdvice({ line, pace }: Pick<Answer, 'line' | 'pace'>, game: Game): readonly string[] {
  const least = isPoints(game) ? ALIKE.points : ALIKE.chance;
  const advice: string[] = [];
  if (line !== undefined && Math.abs(line.above - line.below) > least) {
    const [better, worse] = line.above > line.below ? ['right', 'left'] : ['left', 'right'];
    const [high, low] = [Math.max(line.above, line.below), Math.min(line.above, line.below)];
    advice.push(
      `If you miss, miss to the ${better}: ${worthWords(high, game)} there, ${worthWords(low, game)} to the ${worse}.`,
    );
  }
  if (pace !== undefined && Math.abs(pace.above - pace.below) > least) {
    const isSoft = pace.below > pace.above;
    const [high, low] = [Math.max(pace.above, pace.below), Math.min(pace.above, pace.below)];
    advice.push(
      `Err ${isSoft ? 'soft' : 'hard'}: too ${isSoft ? 'soft' : 'hard'} is ${worthWords(high, game)}, too ${isSoft ? 'hard' : 'soft'} ${worthWords(low, game)}.`,
    );
  }
  return advice;
}

/** Whether to attack: the best pot against the best safety. */
export function attackWords({ answers }: Ranking, game: Game): string {
  const pot = answers.find(({ kind }) => kind.name === 'pot');
  const safe = answers.find(({ kind }) => kind.name !== 'pot');
  if (pot === undefined) return 'No pot is worth a try.';
  if (safe === undefined) return 'No safety was found.';
  const by = pot.worth - safe.worth;
  const noise = 2 * Math.hypot(pot.worthError, safe.worthError);
  const told = `the pot ${answerWorth(pot, game)}, the safety ${answerWorth(safe, game)}`;
  if (Math.abs(by) <= noise) return `Pot or safety: as good as each other (${told}).`;
  return by > 0 ? `Attack: ${told}.` : `Play safe: ${told}.`;
}

/** What called misses come to: "Missed 26 %: 0.4 called misses on average, 1.7 points." */
export function replayWords({ replays }: Pick<Ranking, 'replays'>): string | undefined {
  if (replays === undefined) return undefined;
  const { missed, misses, points } = replays;
  return `The best answer misses ${percent(missed)}: if every miss is called and played again, ${misses.toFixed(1)} misses and ${points.toFixed(1)} points before it hits.`;
}
