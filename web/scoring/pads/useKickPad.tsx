import { Text } from '@mantine/core';
import { useMemo, useState } from 'react';
import type { Point } from '../../../core/math/point.ts';
import type { BallOnTable } from '../../../core/motion/shot.ts';
import { CUE_BALL } from '../../../core/drill/layout.ts';
import { ballsOfSetUp, setUp } from '../../../core/drill/setUp.ts';
import { atStation } from '../../../core/drill/station.ts';
import { opponentError } from '../../../core/player/opponent.ts';
import type { Drill } from '../../../core/records/drill.ts';
import { readKick, type KickRead, type KickTaps } from '../../../core/scoring/kickTaps.ts';
import type { Table } from '../../../core/table/table.ts';
import { GhostMark, LandingMark } from '../../table/marks.tsx';
import { replaysWords } from '../../words/kickWords.ts';
import { percent } from '../../words/units.ts';
import { onCloth } from '../scoring.ts';
import { CONTACT_GRADES, type ContactGrade } from '../../../core/counting/gradedContact.ts';
import {
  LEAVE_GRADES,
  type KickAttempt,
  type LeaveGrade,
  type MissedWay,
} from '../../../core/counting/kickScore.ts';
import { replaysOf } from '../../../core/counting/replays.ts';
import { BLANK_SHOT } from '../../../core/records/loggedShot.ts';
import { logOf } from '../../../core/records/attempt.ts';
import { NOTHING_ENTERED } from '../../../core/records/entered.ts';
import { capital } from '../../words/vocabulary.ts';
import type { ScoringProps } from '../ScoringLayout.tsx';
import type { Pad } from './pad.ts';
import { PadButton, PadRow } from './PadButton.tsx';
import type { PadAction } from '../../controls/padAction.ts';

/** What is told of a kick; how it was met and what it leaves are null until somebody says it. */
interface KickDraft {
  readonly grade: ContactGrade | null;
  readonly legal: boolean;
  /** Where each called miss went, in their order; null where nobody said. */
  readonly misses: readonly (MissedWay | null)[];
  readonly leave: LeaveGrade | null;
}

/** Where the balls stopped, as far as it was tapped: the cue ball first, then the ball that was to be met. */
type Taps = Partial<KickTaps>;

const FIRST: KickDraft = { grade: null, legal: true, misses: [], leave: null };
const MOST_REPEATS = 20;

/** The keys of called misses, by where they went, seen from behind the cue ball. */
const WAYS: readonly (readonly [key: string, label: string, way: MissedWay | null])[] = [
  ['m', 'Miss called', null],
  ['q', 'Went left', 'left'],
  ['w', 'Went right', 'right'],
  ['t', 'Stopped short', 'short'],
];

/** Called misses as they are stored: how many, and where they went if somebody said so. */
function toldOf(misses: KickDraft['misses']): Pick<KickAttempt, 'repeats' | 'missed'> {
  const count = (way: MissedWay) => misses.filter((each) => each === way).length;
  const missed = { left: count('left'), right: count('right'), short: count('short') };
  const isTold = misses.some((each) => each !== null);
  return { repeats: misses.length, ...(isTold ? { missed } : {}) };
}

/** Hit and how thick, legal or not, what it leaves, and how often the miss was called and it was played again. */
export function useKickPad(props: ScoringProps & { readonly table: Table }): Pad {
  const { course, actions, open, table } = props;
  const [draft, setDraft] = useState(FIRST);
  const [taps, setTaps] = useState<Taps>({});
  const put = (change: Partial<KickDraft>) => setDraft({ ...draft, ...change });
  const { drill } = course.counting;
  const { scoring, task } = drill;
  const seed = open.round.seed + actions.scoring.attempts.length;
  const attempt = actions.scoring.attempts.length + 1;
  const balls = useMemo(
    () => ballsOfSetUp(setUp(atStation(drill, attempt), table.preset, seed)),
    [drill, table, seed, attempt],
  );
  const read = readOf(drill, table, balls, taps);
  /** The first tap is the cue ball, the second the other one; the third begins again. */
  const onTap = (place: Point) => {
    const at = onCloth(place, table);
    const isSecond = taps.cueAt !== undefined && taps.targetAt === undefined;
    const next: Taps = isSecond ? { ...taps, targetAt: at } : { cueAt: at };
    setTaps(next);
    const told = readOf(drill, table, balls, next);
    if (told !== undefined) put({ leave: told.leave, ...(told.missed && { grade: 'miss' as const }) });
  };
  const penalty = scoring.method === 'kick' ? scoring.penalty : 0;
  const before = actions.scoring.attempts.flatMap(({ log }) => log.entered?.kick ?? []);
  const replays = replaysOf([...before, toldOf(draft.misses)], penalty);
  const hit = draft.grade !== null && draft.grade !== 'miss';
  const told = draft.grade !== null && draft.leave !== null;
  const keep = () => {
    const { grade, legal, misses, leave } = draft;
    if (grade === null || leave === null) return;
    actions.enter(
      logOf({
        entered: {
          ...NOTHING_ENTERED,
          done: hit && legal,
          kick: { hit, legal: hit && legal, ...toldOf(misses), leave },
        },
        shots: [{ ...BLANK_SHOT, grade, landing: taps.cueAt ?? null }],
      }),
    );
    setDraft(FIRST);
    setTaps({});
  };
  const grades = CONTACT_GRADES.map((grade, i): PadAction => ({
    key: String(i + 1),
    label: capital(grade),
    run: () => put({ grade }),
    chosen: draft.grade === grade,
  }));
  const leaves = LEAVE_GRADES.map((leave, i): PadAction => ({
    key: ['a', 's', 'd'][i] ?? 'g',
    label: capital(leave),
    run: () => put({ leave }),
    chosen: draft.leave === leave,
  }));
  const legality: readonly PadAction[] = [
    { key: 'l', label: 'Legal', run: () => put({ legal: true }), chosen: hit && draft.legal, disabled: !hit },
    {
      key: 'k',
      label: 'Foul',
      run: () => put({ legal: false }),
      chosen: draft.grade === 'miss' || (hit && !draft.legal),
      disabled: draft.grade === null,
    },
  ];
  const repeats: readonly PadAction[] = [
    ...WAYS.map(([key, label, way]) => ({
      key,
      label: `${label} (${draft.misses.filter((each) => each === way).length})`,
      run: () => put({ misses: [...draft.misses, way] }),
      disabled: draft.misses.length >= MOST_REPEATS,
    })),
    {
      key: 'b',
      label: 'One less',
      run: () => put({ misses: draft.misses.slice(0, -1) }),
      disabled: draft.misses.length === 0,
    },
  ];
  const save: PadAction = { key: 'Enter', label: 'Keep this kick', run: keep, main: true, disabled: !told };
  return {
    actions: [...grades, ...legality, ...leaves, ...repeats, save],
    onTap,
    marks: (
      <>
        {taps.cueAt !== undefined && <LandingMark at={taps.cueAt} strong />}
        {taps.targetAt !== undefined && <GhostMark at={taps.targetAt} radius={table.preset.ballRadius} />}
      </>
    ),
    hint:
      hintOf(taps, read, task.kind === 'kick' ? task.target : '') ??
      (!told
        ? 'Say how the ball was met and what it leaves, or tap where the cue ball stopped.'
        : penalty > 0
          ? `Each miss or foul gives ${penalty} away.`
          : 'A miss or a foul gives ball in hand: the best leave there is.'),
    buttons: (
      <div className="scoring-rows">
        <PadRow label="Hit" actions={grades} />
        <PadRow label="Rules" actions={legality} />
        <PadRow label="It leaves" actions={leaves} />
        <PadRow label="Replay" actions={repeats} />
        {replays.misses > 0 && (
          <Text size="sm" role="status" data-testid="replays">
            {replaysWords(replays)}
          </Text>
        )}
        <PadButton action={save} />
      </div>
    ),
  };
}

/** What two taps tell, once both are there. */
function readOf(
  drill: Drill,
  table: Table,
  balls: readonly BallOnTable[],
  { cueAt, targetAt }: Taps,
): KickRead | undefined {
  const { task } = drill;
  const isThere = (id: string) => balls.some((ball) => ball.id === id);
  if (cueAt === undefined || targetAt === undefined) return undefined;
  if (task.kind !== 'kick' || !isThere(CUE_BALL) || !isThere(task.target)) return undefined;
  const opponent = opponentError(drill, table.preset.game);
  return readKick(table, balls, CUE_BALL, task.target, { cueAt, targetAt }, opponent);
}

function hintOf({ cueAt }: Taps, read: KickRead | undefined, target: string): string | undefined {
  if (read !== undefined) {
    const { left, leave, missed } = read;
    return `The opponent’s best pot from there: ${percent(left)}, ${leave}.${missed ? ' The ball was not met.' : ''} Say so if it was otherwise.`;
  }
  return cueAt === undefined
    ? undefined
    : `Now tap where the ${target} stopped; where it lay, if it was not met.`;
}
