import { Text } from '@mantine/core';
import { useState } from 'react';
import type { Table } from '../../../core/table/table.ts';
import { replaysWords } from '../../words/kickWords.ts';
import { CONTACT_GRADES, type ContactGrade } from '../../../core/counting/gradedContact.ts';
import {
  LEAVE_GRADES,
  type KickAttempt,
  type LeaveGrade,
  type MissedWay,
} from '../../../core/counting/kickScore.ts';
import { replaysOf } from '../../../core/counting/replays.ts';
import { BLANK_SHOT } from '../../../core/records/loggedShot.ts';
import type { Cause } from '../../../core/records/cause.ts';
import { logOf } from '../../../core/records/attempt.ts';
import { NOTHING_ENTERED } from '../../../core/records/entered.ts';
import { capital } from '../../words/vocabulary.ts';
import type { ScoringProps } from '../ScoringLayout.tsx';
import type { Pad } from './pad.ts';
import { useKickTaps } from './useKickTaps.tsx';
import { PadButton, PadRow } from './PadButton.tsx';
import type { PadAction } from '../../controls/padAction.ts';

/** What is told of a kick; how it was met and what it leaves are null until somebody says it. */
interface KickDraft {
  readonly grade: ContactGrade | null;
  /** Null until somebody says it: then as it is worked out, or legal. */
  readonly legal: boolean | null;
  /** Where each called miss went, in their order; null where nobody said. */
  readonly misses: readonly (MissedWay | null)[];
  readonly leave: LeaveGrade | null;
  /** Why it went astray, once the hint is confirmed. */
  readonly cause: Cause | null;
}

const FIRST: KickDraft = { grade: null, legal: null, misses: [], leave: null, cause: null };
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
  const { course, actions } = props;
  const [said, setDraft] = useState(FIRST);
  const put = (change: Partial<KickDraft>) => setDraft({ ...said, ...change });
  const { drill } = course.counting;
  const { scoring } = drill;
  const tapped = useKickTaps(props, ({ leave, missed }) =>
    // Taps that are set again may take a miss back.
    put({ leave, cause: null, grade: missed ? 'miss' : said.grade === 'miss' ? null : said.grade }),
  );
  const { told } = tapped;
  // What nobody has said yet is as it is worked out.
  const draft = {
    ...said,
    grade: said.grade ?? told?.grade ?? null,
    legal: said.legal ?? told?.legal ?? true,
  };
  const penalty = scoring.method === 'kick' ? scoring.penalty : 0;
  const before = actions.scoring.attempts.flatMap(({ log }) => log.entered?.kick ?? []);
  const replays = replaysOf([...before, toldOf(draft.misses)], penalty);
  const hit = draft.grade !== null && draft.grade !== 'miss';
  const isSaid = draft.grade !== null && draft.leave !== null;
  const keep = () => {
    const { grade, legal, misses, leave, cause } = draft;
    if (grade === null || leave === null) return;
    actions.enter(
      logOf({
        entered: {
          ...NOTHING_ENTERED,
          done: hit && legal,
          kick: { hit, legal: hit && legal, ...toldOf(misses), leave },
        },
        shots: [
          {
            ...BLANK_SHOT,
            grade,
            landing: tapped.cueAt ?? null,
            cause,
            causeBy: cause === null ? null : 'hint',
          },
        ],
      }),
    );
    setDraft(FIRST);
    tapped.clear();
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
  const fault = told?.fault;
  const because: readonly PadAction[] =
    fault?.kind === 'told'
      ? [
          {
            key: 'h',
            label: 'Yes, that was it',
            run: () => put({ cause: draft.cause === null ? fault.cause : null }),
            chosen: draft.cause !== null,
          },
        ]
      : [];
  const save: PadAction = { key: 'Enter', label: 'Keep this kick', run: keep, main: true, disabled: !isSaid };
  return {
    actions: [...grades, ...legality, ...leaves, ...repeats, ...because, save],
    onTap: tapped.onTap,
    bringIn: tapped.bringIn,
    marks: tapped.marks,
    hint:
      tapped.hint ??
      (!isSaid
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
        {because.length > 0 && <PadRow label="Cause" actions={because} />}
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
