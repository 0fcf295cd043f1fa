import { Group, Select, Text, TextInput } from '@mantine/core';
import { useLocalStorage } from '@mantine/hooks';
import { useState } from 'react';
import type { Point } from '../../../core/math/point.ts';
import { BLANK_SHOT } from '../../../core/records/loggedShot.ts';
import {
  BREAK_AIMS,
  BREAK_PACES,
  CUE_BALL_ENDS,
  NEXT_SHOTS,
  RACK_BY,
  RACK_QUALITY,
  WING_BALL,
  type BreakLog,
} from '../../../core/records/breakLog.ts';
import { logOf } from '../../../core/records/attempt.ts';
import { NOTHING_ENTERED } from '../../../core/records/entered.ts';
import { POCKET_NAMES } from '../../../core/table/pockets.ts';
import { tappedControl, type TappedControl } from '../../../core/virtual/breaks/tappedControl.ts';
import { GhostMark, LandingMark } from '../../table/marks.tsx';
import { pocketWords } from '../../words/places.ts';
import { percent } from '../../words/units.ts';
import { capital } from '../../words/vocabulary.ts';
import { useWords } from '../../words/useWords.ts';
import { onCloth } from '../scoring.ts';
import type { ScoringProps } from '../ScoringLayout.tsx';
import type { Pad } from './pad.ts';
import { PadButton, PadRow } from './PadButton.tsx';
import type { PadAction } from '../../controls/padAction.ts';
import type { Table } from '../../../core/table/table.ts';

/** What is the same from one break to the next: kept on the device. */
type Habits = Pick<BreakLog, 'rack' | 'rackBy' | 'cue' | 'aim' | 'pace'>;
/** Where the cue ball stopped, and where the next ball lies, as far as it was tapped. */
interface Rests {
  readonly cue?: Point;
  readonly next?: Point;
}
/** What each break does anew. */
type Seen = Omit<BreakLog, keyof Habits | 'from'>;

const NO_HABITS: Habits = { rack: null, rackBy: null, cue: null, aim: null, pace: null };
/** A break of which nothing is told yet: balls, control and layout are null until somebody says them. */
interface Telling extends Omit<Seen, 'balls' | 'control' | 'layout'> {
  readonly balls: number | null;
  readonly control: number | null;
  readonly layout: number | null;
}
const FIRST: Telling = {
  balls: null,
  control: null,
  layout: null,
  inOff: false,
  wing: null,
  first: null,
  second: null,
  cueBall: null,
  nextShot: null,
  runOut: null,
};
const GRADES = [0, 1, 2, 3];
const GRADE_KEYS = { control: ['a', 's', 'd', 'g'], layout: ['h', 'j', 'k', 'l'] } as const;

/** The break once balls, control and layout are said. */
function toldOf(telling: Telling): Seen | undefined {
  const { balls, control, layout } = telling;
  if (balls === null || control === null || layout === null) return undefined;
  return { ...telling, balls, control, layout };
}

function habitsFrom(text: string | undefined): Habits {
  try {
    const value: unknown = JSON.parse(text ?? '{}');
    const given = typeof value === 'object' && value !== null ? value : {};
    const word = <T extends string>(name: string, values: readonly T[]): T | null =>
      values.find((each) => name in given && Reflect.get(given, name) === each) ?? null;
    const cue: unknown = Reflect.get(given, 'cue');
    return {
      rack: word('rack', RACK_QUALITY),
      rackBy: word('rackBy', RACK_BY),
      aim: word('aim', BREAK_AIMS),
      pace: word('pace', BREAK_PACES),
      cue: typeof cue === 'string' && cue !== '' ? cue.slice(0, 40) : null,
    };
  } catch {
    return NO_HABITS;
  }
}

/** A break in a few taps: balls down, control, layout, the wing ball; what stays the same is kept for the next. */
export function useBreakPad({ actions, course, table }: ScoringProps & { readonly table: Table }): Pad {
  const { term, vocabulary } = useWords();
  const [habits, setHabits] = useLocalStorage<Habits>({
    key: 'jolly-break-habits',
    defaultValue: NO_HABITS,
    getInitialValueInEffect: false,
    deserialize: habitsFrom,
  });
  const [seen, setSeen] = useState(FIRST);
  const [from, setFrom] = useState<Point | null>(null);
  const [rests, setRests] = useState<Rests>({});
  const rack = course.counting.drill.rack?.kind ?? 'eight';
  const put = (change: Partial<Telling>) => setSeen({ ...seen, ...change });
  const told = toldOf(seen);
  const putHabit = (change: Partial<Habits>) => setHabits({ ...habits, ...change });
  const keep = () => {
    if (told === undefined) return;
    actions.enter(
      logOf({
        entered: {
          ...NOTHING_ENTERED,
          done: !told.inOff && told.balls > 0,
          opening: { ...habits, ...told, from },
        },
        shots: [{ ...BLANK_SHOT, inOff: told.inOff, landing: told.inOff ? null : (rests.cue ?? null) }],
      }),
    );
    setSeen(FIRST);
    setRests({});
  };
  /** The first tap of a round is the place before the break; then, break by break, the cue ball and the next ball. */
  const onTap = (place: Point) => {
    const at = onCloth(place, table);
    if (from === null) {
      setFrom(at);
      return;
    }
    const isNext = rack !== 'reds' && rests.cue !== undefined && rests.next === undefined;
    const next: Rests = isNext ? { ...rests, next: at } : { cue: at };
    setRests(next);
    const kept = next.cue && tappedControl(table, rack, next.cue, next.next);
    if (kept !== undefined) put({ control: kept.control });
  };
  const kept = rests.cue && tappedControl(table, rack, rests.cue, rests.next);
  const down = Array.from({ length: 8 }, (_, balls): PadAction => ({
    key: String(balls),
    label: String(balls),
    run: () => put({ balls }),
    chosen: seen.balls === balls,
  }));
  const graded = (name: 'control' | 'layout') =>
    GRADES.map((grade): PadAction => ({
      key: GRADE_KEYS[name][grade] ?? 'z',
      label: String(grade),
      run: () => put({ [name]: grade }),
      chosen: seen[name] === grade,
    }));
  const wings = WING_BALL.map((wing, i): PadAction => ({
    key: ['i', 'o', 'p', 'n'][i] ?? 'z',
    label: capital(wing),
    run: () => put({ wing: seen.wing === wing ? null : wing }),
    chosen: seen.wing === wing,
  }));
  const lost: PadAction = {
    key: 'f',
    label: capital(term('inOff')),
    run: () => put({ inOff: !seen.inOff }),
    chosen: seen.inOff,
  };
  const save: PadAction = {
    key: 'Enter',
    label: 'Keep this break',
    run: keep,
    main: true,
    disabled: told === undefined,
  };
  const control = graded('control');
  const layout = graded('layout');
  const pockets = POCKET_NAMES.map((name) => ({ value: name, label: pocketWords(name, vocabulary) }));
  return {
    actions: [...down, ...control, ...layout, ...wings, lost, save],
    hint:
      tapHint(from, rests, kept) ??
      'Say how many balls are down, how well the cue ball was kept, and how open the table lies.',
    onTap,
    marks: (
      <>
        {from !== null && <LandingMark at={from} />}
        {rests.cue !== undefined && <LandingMark at={rests.cue} strong />}
        {rests.next !== undefined && <GhostMark at={rests.next} radius={table.preset.ballRadius} />}
      </>
    ),
    buttons: (
      <div className="scoring-rows">
        <PadRow label="Balls down" actions={down} />
        <PadRow label="Cue ball kept, 0 to 3" actions={control} />
        <PadRow label="Layout, 0 to 3" actions={layout} />
        <PadRow label="Wing ball" actions={wings} />
        <PadRow label="Cue ball" actions={[lost]} />
        <PadButton action={save} />
      </div>
    ),
    below: (
      <details className="card">
        <summary>More about the break</summary>
        <Group gap={8} grow>
          <Pick
            label="First ball to"
            value={seen.first}
            data={pockets}
            onChange={(first) => put({ first: POCKET_NAMES.find((each) => each === first) ?? null })}
          />
          <Pick
            label="Second ball to"
            value={seen.second}
            data={pockets}
            onChange={(second) => put({ second: POCKET_NAMES.find((each) => each === second) ?? null })}
          />
        </Group>
        <Group gap={8} grow>
          <Pick
            label="Cue ball ended"
            value={seen.cueBall}
            data={CUE_BALL_ENDS}
            onChange={(value) => put({ cueBall: CUE_BALL_ENDS.find((each) => each === value) ?? null })}
          />
          <Pick
            label="Next shot"
            value={seen.nextShot}
            data={NEXT_SHOTS}
            onChange={(value) => put({ nextShot: NEXT_SHOTS.find((each) => each === value) ?? null })}
          />
        </Group>
        <Pick
          label="Run out from here"
          value={seen.runOut === null ? null : seen.runOut ? 'yes' : 'no'}
          data={['yes', 'no']}
          onChange={(value) => put({ runOut: value === null ? null : value === 'yes' })}
        />
        <Text size="sm" c="dimmed" mt={6}>
          Kept from one break to the next:
        </Text>
        <Group gap={8} grow>
          <Pick
            label="Rack"
            value={habits.rack}
            data={RACK_QUALITY}
            onChange={(value) => putHabit({ rack: RACK_QUALITY.find((each) => each === value) ?? null })}
          />
          <Pick
            label="Racked by"
            value={habits.rackBy}
            data={RACK_BY}
            onChange={(value) => putHabit({ rackBy: RACK_BY.find((each) => each === value) ?? null })}
          />
        </Group>
        <Group gap={8} grow>
          <Pick
            label="Aim"
            value={habits.aim}
            data={BREAK_AIMS}
            onChange={(value) => putHabit({ aim: BREAK_AIMS.find((each) => each === value) ?? null })}
          />
          <Pick
            label="Pace"
            value={habits.pace}
            data={BREAK_PACES}
            onChange={(value) => putHabit({ pace: BREAK_PACES.find((each) => each === value) ?? null })}
          />
        </Group>
        <TextInput
          label="Cue"
          size="xs"
          maxLength={40}
          defaultValue={habits.cue ?? ''}
          onBlur={(event) => {
            const cue = event.currentTarget.value.trim();
            putHabit({ cue: cue === '' ? null : cue });
          }}
        />
      </details>
    ),
  };
}

/** What the taps tell, or ask for next; nothing before the first. */
function tapHint(from: Point | null, rests: Rests, kept: TappedControl | undefined): string | undefined {
  if (kept !== undefined) {
    const chance = kept.chance === undefined ? '' : `The next pot: ${percent(kept.chance)}. `;
    return `${chance}Cue ball kept: ${kept.control}. Say so if other balls make it otherwise.`;
  }
  if (rests.cue !== undefined) return 'Now tap the next ball.';
  return from === null ? undefined : 'Tap where the cue ball stopped.';
}

interface PickProps {
  readonly label: string;
  readonly value: string | null;
  readonly data: readonly (string | { readonly value: string; readonly label: string })[];
  readonly onChange: (value: string | null) => void;
}

function Pick({ label, value, data, onChange }: PickProps) {
  return <Select label={label} size="xs" clearable data={[...data]} value={value} onChange={onChange} />;
}
