import { useCallback, useState, type ReactNode } from 'react';
import type { OpenRound } from '../../core/records/openRound.ts';
import type { StoredAttempt } from '../../core/records/storedAttempt.ts';
import { ChangeDialog } from './change/ChangeDialog.tsx';
import { AttemptStrip } from './AttemptStrip.tsx';
import { ConflictList } from './ConflictList.tsx';
import { CountingDialog } from './CountingDialog.tsx';
import { EndDialog } from './EndDialog.tsx';
import { KeysDialog } from './KeysDialog.tsx';
import { PadButton, pressed } from './pads/PadButton.tsx';
import type { PadAction } from '../controls/padAction.ts';
import { useKeys } from '../controls/useKeys.ts';
import { usePadSide } from '../controls/usePadSide.ts';
import { useUndoKeys } from '../controls/useUndoKeys.ts';
import { ScoringHead } from './ScoringHead.tsx';
import { attemptsIn, type Course, type ScoredSoFar } from '../../core/scoring/course.ts';
import type { ScoringActions } from './useScoring.ts';

/** Stands below the buttons: the round against others while it runs, what it says when it is over. */
export type ReviewPart = (props: {
  readonly open: OpenRound;
  readonly course: Course;
  readonly scoring: ScoredSoFar;
}) => ReactNode;

/** What every way of scoring gets. */
export interface ScoringProps {
  readonly open: OpenRound;
  readonly course: Course;
  readonly actions: ScoringActions;
  readonly review: ReviewPart;
}

interface ScoringLayoutProps extends ScoringProps {
  /** "shot", "attempt", "visit", … */
  readonly word: string;
  readonly table: ReactNode;
  /** What is pressed, with its keys; nothing once the round is over. */
  readonly pad: readonly PadAction[];
  /** Rows of choices among the pad's keys, shown instead of plain buttons. */
  readonly children?: ReactNode;
  /** Beside the table's picture: its key. */
  readonly aside?: ReactNode;
  readonly hint?: string | undefined;
  /** Below the buttons: the last shot. */
  readonly below?: ReactNode;
  readonly labTo?: string | undefined;
  /** Keys that are pressed by no button, for the list of keys. */
  readonly moreKeys?: readonly (readonly [string, string])[];
  readonly onArrow?: (event: KeyboardEvent) => boolean;
}

/** The table-side screen: head, table, strip of attempts, buttons; all of it without scrolling. */
export function ScoringLayout(props: ScoringLayoutProps) {
  const {
    open,
    course,
    actions,
    word,
    table,
    pad,
    children,
    aside,
    hint,
    below,
    labTo,
    review: Review,
  } = props;
  const { scoring } = actions;
  const [dialog, setDialog] = useState<'keys' | 'end' | 'counting'>();
  const [told, setTold] = useState<StoredAttempt>();
  const { side } = usePadSide();
  const over = scoring.ended !== null;
  const close = useCallback(() => setDialog(undefined), []);

  const nothingYet =
    scoring.attempts.length === 0 && scoring.cursor === null && (scoring.underWay?.shots.length ?? 0) === 0;
  const foot: readonly PadAction[] = [
    { key: 'u', label: 'Undo', run: actions.undo, disabled: nothingYet },
    { key: 'r', label: 'Redo', run: actions.redo, disabled: scoring.undone.length === 0 || over },
    { key: 'e', label: 'End', run: () => setDialog('end'), disabled: over },
    { key: '?', label: '', run: () => setDialog('keys') },
  ];
  useUndoKeys({
    onUndo: () => {
      if (!nothingYet) actions.undo();
    },
    onRedo: () => {
      if (scoring.undone.length > 0 && !over) actions.redo();
    },
    paused: dialog !== undefined || told !== undefined,
  });
  const keys = over ? foot : [...pad, ...foot];
  useKeys(keys, {
    paused: dialog !== undefined || told !== undefined,
    ...(props.onArrow === undefined || over ? {} : { onArrow: props.onArrow }),
  });

  return (
    <main className={side === 'left' ? 'scoring pad-left' : 'scoring'}>
      <ScoringHead
        open={open}
        course={course}
        actions={actions}
        word={word}
        labTo={labTo}
        onCounting={() => setDialog('counting')}
      />
      <div className="scoring-table">
        {table}
        <div className="scoring-aside">{aside}</div>
        <AttemptStrip
          attempts={scoring.attempts}
          planned={attemptsIn(course)}
          word={word}
          onChoose={setTold}
        />
      </div>
      <div className="scoring-pad">
        <ConflictList actions={actions} />
        {actions.refused !== undefined && (
          <p role="alert" className="scoring-refused">
            Not taken: {actions.refused}.
          </p>
        )}
        {!over &&
          (children ?? (
            <div className="scoring-buttons">
              {pad.map((action) => (
                <PadButton key={`${action.key} ${action.label}`} action={action} />
              ))}
            </div>
          ))}
        {!over && hint !== undefined && (
          <p className="scoring-hint" aria-live="polite">
            {hint}
          </p>
        )}
        {below}
        <Review open={open} course={course} scoring={scoring} />
        <div className="scoring-foot">
          {foot.map(({ key, label, run, disabled }) => (
            <button
              key={key}
              type="button"
              className="foot-button"
              onClick={pressed(run)}
              disabled={disabled}
              aria-label={label === '' ? 'Keys of this screen' : undefined}
            >
              {label} <kbd className="key-cap">{key === '?' ? '?' : key.toUpperCase()}</kbd>
            </button>
          ))}
        </div>
      </div>
      <KeysDialog
        opened={dialog === 'keys'}
        onClose={close}
        actions={[...pad, ...foot]}
        more={props.moreKeys ?? []}
      />
      <CountingDialog
        opened={dialog === 'counting'}
        onClose={close}
        drill={course.counting.drill}
        stage={open.document.stages[open.round.stage - 1]}
      />
      <EndDialog
        opened={dialog === 'end'}
        played={scoring.attempts.length}
        planned={attemptsIn(course)}
        word={word}
        onEnd={() => {
          actions.endEarly();
          close();
        }}
        onClose={close}
      />
      {told !== undefined && (
        <ChangeDialog
          attempt={told}
          course={course}
          onClose={() => setTold(undefined)}
          onChange={(log, reason) => {
            actions.change(told.id, log, reason);
            setTold(undefined);
          }}
        />
      )}
    </main>
  );
}
