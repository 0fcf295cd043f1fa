import { Button, Group, Popover, Select, Text } from '@mantine/core';
import { CAUSES } from '../../core/records/cause.ts';
import { POCKET_SIDES, SIDES_USED, type LoggedShot } from '../../core/records/loggedShot.ts';
import { CONTACT_GRADES } from '../../core/counting/gradedContact.ts';
import { reviewLanding } from '../../core/scoring/landing.ts';
import { KeyCap } from '../controls/KeyCap.tsx';
import { attemptWords } from '../words/attemptWords.ts';
import { alongAndAcross } from '../words/units.ts';
import { brokenWords } from '../words/brokenWords.ts';
import { useWords } from '../words/useWords.ts';
import { capital, type Vocabulary } from '../words/vocabulary.ts';
import { angleWords, paceWords } from './landingWords.ts';
import { pressed } from './pads/PadButton.tsx';
import type { Course } from '../../core/scoring/course.ts';
import type { ScoringActions } from './useScoring.ts';

interface LastShotProps {
  readonly course: Course;
  readonly actions: ScoringActions;
  readonly word: string;
  /** What the landing says of the cause: confirmed with one tap. */
  readonly hint?: CauseHint | undefined;
}

/** Why the last shot went wrong, as far as its landing tells. */
export interface CauseHint {
  readonly words: string;
  /** Undefined where it cannot be told. */
  readonly confirm: (() => void) | undefined;
}

/** The last shot in words, and what more can be noted about it. */
export function LastShot({ course, actions, word, hint }: LastShotProps) {
  const { vocabulary } = useWords();
  const { attempts, underWay } = actions.scoring;
  const shots = underWay?.shots ?? [];
  const last = attempts.at(-1);
  const shot = shots.at(-1) ?? last?.log.shots.at(-1);
  if (shot === undefined) return null;
  const number = shots.length > 0 ? shots.length : (last?.ordinal ?? 0);
  const { plan } = course.counting;
  const review =
    shots.length > 0 || last === undefined || last.landing === null || plan === undefined
      ? undefined
      : reviewLanding(plan, last.landing);
  const points = last?.counted.points;
  return (
    <section className="card" aria-live="polite" data-testid="last-shot">
      <Group justify="space-between">
        <Text fw={700}>
          {shots.length > 0 || (last?.log.shots.length ?? 0) <= 1 ? word : 'Attempt'} {number}
        </Text>
        {shots.length === 0 && points !== undefined && (last?.counted.balls === undefined || points > 0) && (
          <Text c="dimmed">{points === 1 ? '1 point' : `${points} points`}</Text>
        )}
      </Group>
      {review === undefined ? (
        <Text className="big">
          {capital(
            shots.length > 0
              ? shotWords(shot, vocabulary)
              : last === undefined
                ? ''
                : attemptWords(last.counted),
          )}
        </Text>
      ) : (
        <>
          <Text className="big">{capital(alongAndAcross(review.along, review.across))}</Text>
          <Text>{capital(hint?.words ?? paceWords(review))}</Text>
          <Text c="dimmed">Angle left {angleWords(review)}</Text>
        </>
      )}
      <ShotNotes
        key={`${number} ${attempts.length}`}
        shot={shot}
        onNote={actions.note}
        confirm={shot.cause === null ? hint?.confirm : undefined}
      />
    </section>
  );
}

/** What came of a shot of a clearance, in a few words. */
function shotWords({ potted, inOff, broken }: LoggedShot, vocabulary: Vocabulary): string {
  if (inOff) return 'cue ball lost';
  const fell = potted.length === 0 ? 'missed' : `potted ${potted.join(' and ')}`;
  return broken.length === 0
    ? fell
    : `${fell}, ${broken.map((each) => brokenWords(each, vocabulary)).join(', ')}`;
}

interface ShotNotesProps {
  readonly shot: LoggedShot;
  readonly onNote: (about: Partial<LoggedShot>) => void;
  readonly confirm: (() => void) | undefined;
}

/** Cause, luck, rescue, and how it was hit: one tap each, and none is needed. */
function ShotNotes({ shot, onNote, confirm }: ShotNotesProps) {
  return (
    <Group gap={6} mt={6}>
      {confirm !== undefined && (
        <button type="button" className="foot-button" onClick={pressed(confirm)}>
          Yes, that was it <KeyCap>H</KeyCap>
        </button>
      )}
      <Popover position="left-end" withinPortal trapFocus>
        <Popover.Target>
          <Button size="compact-md" variant="default">
            {shot.cause === null ? 'Why?' : capital(shot.cause)}
          </Button>
        </Popover.Target>
        <Popover.Dropdown maw={420}>
          <Group gap={6}>
            {CAUSES.map((cause) => (
              <Button
                key={cause}
                size="compact-md"
                variant={shot.cause === cause ? 'filled' : 'default'}
                aria-pressed={shot.cause === cause}
                onClick={() =>
                  onNote(shot.cause === cause ? { cause: null, causeBy: null } : { cause, causeBy: 'coach' })
                }
              >
                {capital(cause)}
              </Button>
            ))}
          </Group>
        </Popover.Dropdown>
      </Popover>
      <Button
        size="compact-md"
        variant={shot.luck ? 'filled' : 'default'}
        aria-pressed={shot.luck}
        onClick={pressed(() => onNote({ luck: !shot.luck }))}
      >
        Luck
      </Button>
      <Button
        size="compact-md"
        variant={shot.rescue ? 'filled' : 'default'}
        aria-pressed={shot.rescue}
        onClick={pressed(() => onNote({ rescue: !shot.rescue }))}
      >
        Rescue
      </Button>
      <Popover position="left-end" withinPortal>
        <Popover.Target>
          <Button size="compact-md" variant="subtle">
            More
          </Button>
        </Popover.Target>
        <Popover.Dropdown>
          <OneNote
            label="Stroke"
            values={['as planned', 'another']}
            value={shot.asPlanned === null ? null : shot.asPlanned ? 'as planned' : 'another'}
            onChange={(value) => onNote({ asPlanned: value === null ? null : value === 'as planned' })}
          />
          <OneNote
            label="Thickness"
            values={CONTACT_GRADES}
            value={shot.grade}
            onChange={(grade) => onNote({ grade })}
          />
          <OneNote
            label="Side of the pocket"
            values={POCKET_SIDES}
            value={shot.pocketSide}
            onChange={(pocketSide) => onNote({ pocketSide })}
          />
          <OneNote
            label="Side used"
            values={SIDES_USED}
            value={shot.side}
            onChange={(side) => onNote({ side })}
          />
        </Popover.Dropdown>
      </Popover>
    </Group>
  );
}

interface OneNoteProps<T extends string> {
  readonly label: string;
  readonly values: readonly T[];
  readonly value: T | null;
  readonly onChange: (value: T | null) => void;
}

function OneNote<T extends string>({ label, values, value, onChange }: OneNoteProps<T>) {
  return (
    <Select
      label={label}
      size="xs"
      clearable
      comboboxProps={{ withinPortal: false }}
      data={[...values]}
      value={value}
      onChange={(chosen) => onChange(values.find((each) => each === chosen) ?? null)}
    />
  );
}
