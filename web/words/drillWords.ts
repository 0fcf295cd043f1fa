import type { AskedLeave } from '../../core/counting/leaveGrade.ts';
import { LEVEL_NAMES } from '../../core/player/levels.ts';
import { judgesLeave, opponentLevel } from '../../core/player/opponent.ts';
import type { Drill, DrillStage, Order } from '../../core/records/drill.ts';
import { capital, termIn, type Vocabulary } from './vocabulary.ts';
import { counted } from './units.ts';

const list = (ids: readonly string[]) =>
  ids.length < 2 ? ids.join('') : `${ids.slice(0, -1).join(', ')} and ${ids.at(-1) ?? ''}`;

/** What is to be cleared, and in which order: what follows “Clear”. */
function orderInWords(order: Order): string {
  switch (order.kind) {
    case 'any':
      return 'the table in any order';
    case 'rotation':
      return 'the table in rotation, the lowest number first';
    case 'listed':
      return `the table in the order ${order.balls.join(', ')}`;
    case 'groups':
      return `the table, ${order.groups.map((group) => `the ${list(group)}`).join(', then ')}`;
    case 'suits':
      return order.both
        ? `one suit, then the other, the ${order.last} last`
        : `one suit of your choice, then the ${order.last}`;
    case 'red and colour':
      return 'the table, a red and a colour in turn, then the colours';
    case 'money ball':
      return `the table, the ${order.ball} after every other ball; it comes back until it is the last`;
  }
}

/** What is asked of the player, in a sentence. */
export function taskInWords({ task }: Drill, vocabulary: Vocabulary): string {
  const cushions = (count: number) => `${count} ${termIn(vocabulary, 'cushion')}${count === 1 ? '' : 's'}`;
  switch (task.kind) {
    case 'position':
      return `Pot the ${task.pot} and come on to the ${task.next.ball}.`;
    case 'land':
      return task.pot === null
        ? 'Bring the cue ball to rest in the targets.'
        : `Pot the ${task.pot.ball} and bring the cue ball to rest in the targets.`;
    case 'clear':
      return `Clear ${orderInWords(task.order)}.`;
    case 'break':
      return `Break on the ${task.hit}.`;
    case 'kick':
      return task.cushions.length === 0
        ? `Hit the ${task.target} by a way of your own${leaveWords(task.leave)}.`
        : `Hit the ${task.target} by ${cushions(task.cushions.length)}${leaveWords(task.leave)}.`;
    case 'plant':
      return `Play the ${task.first} on to the ${task.pot} and pot it.`;
    case 'double':
      return `Pot the ${task.pot} by ${cushions(task.cushions.length)}.`;
    case 'safety':
      return `Meet the ${task.target} first: ${task.aim}${leaveWords(task.leave)}.`;
    case 'call':
      return `Say before it is shown: ${task.question}.`;
  }
}

/** ", and leave no straight way to a ball", where a drill asks for a leave. */
function leaveWords(leave: AskedLeave | undefined): string {
  if (leave === undefined) return '';
  return leave === 'hidden' ? ', and leave no straight way to a ball' : ', and leave nothing on';
}

/** How the round is counted, in a sentence. */
export function scoringInWords({ scoring }: Drill): string {
  switch (scoring.method) {
    case 'attempts-to-clear':
      return `Tries until it is cleared${scoring.giveUpAfter === null ? '' : `, given up after ${scoring.giveUpAfter}`}.`;
    case 'balls-made':
      return `Balls before the fault, over ${scoring.trials} trials.`;
    case 'lives':
      return `${scoring.lives} ${scoring.lives === 1 ? 'life' : 'lives'}: a miss costs one and the target stays.`;
    case 'ladder-by-racks':
      return `A ladder of ${scoring.rungs.join(', ')} balls: ${scoring.wins} of ${scoring.of} racks move up.`;
    case 'ladder-by-single':
      return `From ${scoring.start} balls: a clear adds one, a miss goes ${scoring.onMiss === 'down one' ? 'down one' : 'back to the start'}; ${scoring.attempts} attempts.`;
    case 'clear-or-restart':
      return `Clean clears of ${scoring.layouts.join(', ')} balls, ${scoring.attempts} attempts.`;
    case 'break-points':
      return `Highest of ${scoring.visits} visits, and the mean.`;
    case 'zone-points':
      return `Points by where the cue ball stops, ${counted(scoring.shots, 'shot')}.`;
    case 'graded-contact':
      return `Points by how the ball is hit, ${scoring.stations} stations.`;
    case 'success-rate':
      return `How many of ${scoring.attempts}.`;
    case 'kick':
      return `Points given away in ${scoring.attempts} kicks.`;
    case 'break-score':
      return `Balls, control and layout of ${counted(scoring.attempts, 'break')}.`;
    case 'call-it':
      return `Right calls of ${scoring.positions}.`;
    case 'streak':
      return `The longest run in ${counted(scoring.attempts, 'attempt')}.`;
  }
}

/** What the coach expects of a round, by level; undefined where nothing is said. */
export function marksInWords(marks: DrillStage['marks']): string | undefined {
  const inOrder = LEVEL_NAMES.flatMap((level) => marks.filter((mark) => mark.level === level));
  if (inOrder.length === 0) return undefined;
  return `The coach’s marks for a round: ${inOrder.map(({ level, score }) => `${level} ${score}`).join(', ')}.`;
}

/** A leave is judged in these: by a stated opponent, the same for everybody. */
function leaveInWords(drill: Drill): readonly string[] {
  if (!judgesLeave(drill)) return [];
  return [`A leave is worth what a ${opponentLevel(drill)} player would make of it, whoever plays.`];
}

/** How it goes on after what does not end an attempt. */
const REPAIR: Readonly<Record<Drill['repair'], string>> = {
  'play on': 'from where the balls lie',
  'ball in hand': 'with ball in hand',
  'cue ball back': 'the cue ball put back',
};

/** Where the cue ball starts, which conditions hold and whom a leave is judged by, a line each. */
export function rulesInWords(drill: Drill): readonly string[] {
  const { cueBall, conditions, faults, repair, thrown, stations } = drill;
  const noted = Object.entries(faults)
    .filter(([, consequence]) => consequence === 'only noted')
    .map(([fault]) => fault);
  return [
    ...(cueBall.start === 'placed' ? [] : [`Cue ball ${cueBall.start}.`]),
    ...(stations === undefined ? [] : [`The cue ball lies at ${stations.length} places in turn.`]),
    ...(thrown === null
      ? []
      : [
          `${thrown.balls.length === 1 ? '1 ball is' : `${thrown.balls.length} balls are`} thrown at random.`,
        ]),
    ...conditions.map((condition) => `Condition: ${condition}.`),
    ...(noted.length === 0 ? [] : [`${capital(list(noted))}: the attempt goes on, ${REPAIR[repair]}.`]),
    ...leaveInWords(drill),
  ];
}
