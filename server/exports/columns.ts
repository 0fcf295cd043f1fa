import type { ExportName } from '../db/queries/exports.ts';

/** How a column is written: lengths to the millimetre, shares to the thousandth, times as ISO 8601 and as the clock shows. */
type ColumnKind = 'text' | 'number' | 'metres' | 'share' | 'yes or no' | 'time' | 'day';

/** A column of a CSV file; its unit stands in its name. */
export interface Column {
  readonly name: string;
  readonly kind: ColumnKind;
  readonly about: string;
}

const column =
  (kind: ColumnKind) =>
  (name: string, about: string): Column => ({ name, kind, about });
const text = column('text');
const number = column('number');
const metres = column('metres');
const share = column('share');
const flag = column('yes or no');
const time = column('time');

export const ROUND_ID = text('round_id', 'tells rounds apart, the same in all files');
const PLAYER = text('player', 'name');
export const DRILL = text('drill', 'short name of the drill, as in its address');
const DRILL_TITLE = text('drill_title', 'as it was called in the text that was played');
export const STAGE = number('stage', 'of the drill, from 1');
export const TABLE = text('table', 'name of the table');
const ROUND = [
  ROUND_ID,
  PLAYER,
  TABLE,
  DRILL,
  DRILL_TITLE,
  number('drill_revision', 'which text of the drill, from 1'),
  STAGE,
];
export const ATTEMPT = number('attempt', 'of the round, from 1');
export const STARTED = time('started_at', 'when the round began');
export const ENDED = time('ended_at', 'when it ended; empty while it goes on');
export const RESULT = number('result', 'what the round came to');
export const UNIT = text('unit', 'of the result: points, tries, balls, rung, …');
export const OUTCOME = text('outcome', 'what became of the attempt');
export const POINTS = number('points', 'that the attempt counted');
export const LANDING = [
  metres('landing_x_m', 'where the cue ball stopped, along the table from the head cushion, metres'),
  metres('landing_y_m', 'the same across it, from the right-hand cushion, metres'),
];
export const OFF = [
  metres('along_m', 'how far beyond the planned place, along the way it came, metres'),
  metres('across_m', 'how far beside it, to the left of that way, metres'),
];
export const PLAYED = time('played_at', 'when the attempt was entered');

/** The columns of each file, in their order. */
export const EXPORT_COLUMNS: Readonly<Record<ExportName, readonly Column[]>> = {
  players: [
    text('player_id', 'tells players apart'),
    PLAYER,
    text('hand', 'with which they play'),
    flag('has_sign_in', 'may sign in'),
    time('archived_at', 'since when they are put away; empty for those who are not'),
    time('created_at', 'since when they are here'),
  ],
  rounds: [
    ...ROUND,
    STARTED,
    ENDED,
    flag('ended_early', 'before all attempts were made'),
    RESULT,
    UNIT,
    text('better', 'whether a high or a low result is the better one'),
    flag('complete', 'all attempts were made'),
    flag('censored', 'the result would have become larger had it gone on'),
    text('recorded_by', 'who entered it'),
  ],
  attempts: [
    ...ROUND,
    ATTEMPT,
    OUTCOME,
    POINTS,
    ...LANDING,
    ...OFF,
    PLAYED,
    text('change_reason', 'why it was told otherwise afterwards; empty where it was not'),
  ],
  shots: [
    ...ROUND,
    ATTEMPT,
    number('shot', 'of the attempt, from 1'),
    text('ball', 'that was played at'),
    text('pocket', 'into which it was played'),
    text('potted', 'balls that fell, a blank between them'),
    flag('in_off', 'the cue ball fell'),
    text('conditions_broken', 'conditions of the drill, a semicolon between them'),
    ...LANDING,
    text('contact', 'how the ball was met'),
    text('side', 'that was put on the cue ball'),
    text('cause', 'why it failed'),
    flag('luck', 'it was lucky'),
    flag('rescue', 'it got out of trouble'),
  ],
  calls: [
    text('call_id', 'tells calls apart'),
    PLAYER,
    text('kind', 'what was asked'),
    text('table_kind', 'kind of table'),
    share('score', 'how right it was, 0 to 1'),
    share('coach_score', 'how right the second opinion was, 0 to 1; empty where there was none'),
    time('called_at', 'when it was made'),
  ],
  programmes: [
    text('programme_id', 'tells programmes apart'),
    PLAYER,
    text('programme', 'its title'),
    column('day')('day', 'for which it is planned'),
    DRILL,
    DRILL_TITLE,
    STAGE,
    number('minutes', 'planned, minutes'),
    text('kind', 'drill, match, rest or test'),
    text('note', 'of the coach'),
    time('ticked_at', 'when it was ticked as done; empty where it was not'),
  ],
};

/** What a column becomes in the file: a time is told twice. */
export function headingsOf({ name, kind }: Column): readonly string[] {
  return kind === 'time' ? [name, `${name}_local`] : [name];
}

/** Every column of every file, as rows of a file that explains them. */
export function explained(zone: string): readonly Readonly<Record<string, string>>[] {
  return Object.entries(EXPORT_COLUMNS).flatMap(([file, columns]) =>
    columns.flatMap((each) =>
      headingsOf(each).map((heading) => ({
        file: `${file}.csv`,
        column: heading,
        kind: each.kind,
        meaning: heading === each.name ? each.about : `${each.about}, by the clock of ${zone}`,
      })),
    ),
  );
}
