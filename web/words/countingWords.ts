import { FULL_FROM, THICK_FROM } from '../../core/counting/gradeOfHit.ts';
import { CONTACT_GRADES, type ContactGrade } from '../../core/counting/gradedContact.ts';
import { LEAVE_GRADES } from '../../core/counting/kickScore.ts';
import { HALF_A_CHANCE, WIDE_OPEN } from '../../core/counting/leaveGrade.ts';
import { judgesLeave, opponentLevel } from '../../core/player/opponent.ts';
import type { Drill, DrillStage, Target } from '../../core/records/drill.ts';
import { BACK, CLEARING, LEFT, NEXT_POT } from '../../core/virtual/breakGrades.ts';
import { counted } from './units.ts';
import { capital } from './vocabulary.ts';

/** What counts, and what each grade means, in lines of a table: what is entered, and what it is. */
export type CountingLine = readonly [what: string, means: string];

const percent = (share: number) => `${Math.round(100 * share)} %`;
const points = (count: number) => counted(count, 'point');

const CONTACTS: Readonly<Record<ContactGrade, string>> = {
  full: `${percent(FULL_FROM)} of the ball’s width or more is covered`,
  thick: `${percent(THICK_FROM)} to ${percent(FULL_FROM)} is covered`,
  thin: `less than ${percent(THICK_FROM)} is covered`,
  'cushion first': 'it came off a cushion more than was asked for',
  miss: 'another ball, or none, was met',
};

function targetLine(target: Target, i: number): CountingLine {
  const name = `Target ${i + 1}`;
  switch (target.kind) {
    case 'rings':
      return [name, target.rings.map((ring) => points(ring.points)).join(', ')];
    case 'rectangle':
    case 'polygon':
    case 'way':
      return [name, points(target.points)];
    case 'cushion':
      return [name, 'the stretch of cushion is to be touched'];
    case 'thickness':
      return [name, 'the ball is to be met as thick as drawn'];
  }
}

function zoneLines(
  drill: Drill,
  { bands }: Pick<DrillStage, 'bands'>,
  level: string,
): readonly CountingLine[] {
  const window = drill.task.kind === 'position' ? bands.toSorted((a, b) => b.chance - a.chance) : [];
  return [
    ...window.map((band): CountingLine => [
      points(band.points),
      `it stops where a ${level} player pots the next ball ${percent(band.chance)} of the time or more`,
    ]),
    ...drill.targets.map(targetLine),
    ['Nothing', 'the pot is missed, the cue ball is lost, or it stops elsewhere'],
  ];
}

const leaveLines = (drill: Drill): readonly CountingLine[] => {
  const opponent = `a ${opponentLevel(drill)} player`;
  return [
    ['Nothing on', `${opponent} pots from there less than ${percent(HALF_A_CHANCE)} of the time`],
    ['Half a chance', `${percent(HALF_A_CHANCE)} to ${percent(WIDE_OPEN)}`],
    ['Wide open', `${percent(WIDE_OPEN)} or more`],
  ];
};

/** "30 %, 50 %, 75 %" as the limits of grades one, two and three. */
const limits = (shares: readonly number[]) => shares.map(percent).join(', ');

function breakLines(drill: Drill): readonly CountingLine[] {
  if (drill.rack?.kind === 'reds') {
    return [
      [
        'Control 1, 2, 3',
        `the cue ball is back within ${limits(BACK)} of the way from the baulk cushion to the baulk line`,
      ],
      ['Layout 1, 2, 3', `the opponent’s best pot has a chance of at most ${limits(LEFT)}`],
    ];
  }
  return [
    ['Control 1, 2, 3', `the next pot has a chance of at least ${limits(NEXT_POT)}`],
    ['Layout 1, 2, 3', `clearing what is left has a chance of at least ${limits(CLEARING)}`],
  ];
}

/** How a round of a drill counts, line by line. @param drill as it is played at a stage */
export function countingLines(drill: Drill, stage: Pick<DrillStage, 'bands'>): readonly CountingLine[] {
  const { scoring } = drill;
  const done: CountingLine = ['Done', 'as the task says, and under its conditions'];
  switch (scoring.method) {
    case 'zone-points':
      return zoneLines(drill, stage, scoring.windowLevel);
    case 'graded-contact':
      return CONTACT_GRADES.map((grade) => [`${capital(grade)}, ${scoring.points[grade]}`, CONTACTS[grade]]);
    case 'kick':
      return [
        ...CONTACT_GRADES.map((grade): CountingLine => [capital(grade), CONTACTS[grade]]),
        ...leaveLines(drill),
        [
          'It costs',
          `${scoring.penalty === 0 ? 'a foul gives ball in hand' : `${points(scoring.penalty)} for each miss`}; ${LEAVE_GRADES.map((grade) => `${grade} ${scoring.leaveCosts[grade]}`).join(', ')}`,
        ],
      ];
    case 'break-score':
      return [
        ...breakLines(drill),
        [
          'Points',
          `${scoring.weights.balls} for a ball down (at most ${scoring.mostBalls}), ${scoring.weights.control} times control, ${scoring.weights.layout} times layout`,
        ],
        ['After an in-off', `${percent(scoring.afterInOff)} of them`],
        ['Dry', `fewer than ${counted(scoring.dryBelow, 'ball')} down`],
      ];
    case 'call-it':
      return [
        ['Right', 'what you called is what is worked out'],
        ['Too close', 'right where the margin is smaller than what can be known'],
      ];
    case 'break-points':
      return [
        ['Red', '1 point'],
        ['Colours', '2 to 7: yellow, green, brown, blue, pink, black'],
        ['A foul', 'at least 4, for the opponent'],
      ];
    case 'attempts-to-clear':
      return [done, ['Given up', 'counts as one try more than the last one']];
    case 'balls-made':
      return [
        ['A ball', 'counts when it was potted without a fault'],
        ['A fault', 'ends the trial'],
      ];
    case 'lives':
      return [['A miss', 'of the pot or the target costs a life; the target stays']];
    case 'ladder-by-racks':
      return [
        ['Up', `${scoring.wins} of ${scoring.of} racks cleared`],
        ['The round ends', 'at the first rung that is not passed, or at the top'],
      ];
    case 'ladder-by-single':
      return [
        ['Cleared', 'one ball more'],
        ['Missed', scoring.onMiss === 'down one' ? 'one ball less' : 'back to the start'],
      ];
    case 'clear-or-restart':
      return [
        ['A clean clear', 'counts, and the next layout is larger'],
        ['A fault', 'begins the layout anew'],
      ];
    case 'success-rate':
    case 'streak':
      return [done, ...(judgesLeave(drill) ? leaveLines(drill) : [])];
  }
}
