import { Text } from '@mantine/core';
import { useState } from 'react';
import { CUE_BALL } from '../../../core/drill/layout.ts';
import type { BallOnTable } from '../../../core/motion/shot.ts';
import type { Point } from '../../../core/math/point.ts';
import { BLANK_SHOT } from '../../../core/records/loggedShot.ts';
import { WING_BALL, type BreakLog } from '../../../core/records/breakLog.ts';
import { logOf } from '../../../core/records/attempt.ts';
import { NOTHING_ENTERED } from '../../../core/records/entered.ts';
import { PARTS, type BlockPlace, type Part } from '../../../core/scoring/blocks.ts';
import { rackBalls } from '../../../core/rack/rack.ts';
import type { SpeedSetting } from '../../../core/sound/breakSpeed.ts';
import { wayToRack } from '../../../core/virtual/breaks/breakShot.ts';
import type { Rack } from '../../../core/virtual/breakGrades.ts';
import { breakFromPlaces } from '../../../core/virtual/breaks/breakFromPlaces.ts';
import { tappedControl, type TappedControl } from '../../../core/virtual/breaks/tappedControl.ts';
import { GhostMark, LandingMark } from '../../table/marks.tsx';
import { percent } from '../../words/units.ts';
import { capital } from '../../words/vocabulary.ts';
import { useWords } from '../../words/useWords.ts';
import { onCloth } from '../scoring.ts';
import type { ScoringProps } from '../ScoringLayout.tsx';
import type { Pad } from './pad.ts';
import { BreakMore } from './BreakMore.tsx';
import { PadButton, PadRow } from './PadButton.tsx';
import { useBreakHabits, type BreakHabits, type Habits } from './useBreakHabits.ts';
import type { PadAction } from '../../controls/padAction.ts';
import type { Table } from '../../../core/table/table.ts';

/** Where the cue ball stopped, and where the next ball lies, as far as it was tapped. */
interface Rests {
  readonly cue?: Point;
  readonly next?: Point;
}
/** What each break does anew. */
type Seen = Omit<BreakLog, keyof Habits | 'from'>;

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
  speed: null,
};
const GRADES = [0, 1, 2, 3];
const LEVEL_TIP = { side: 0, height: 0 };
const GRADE_KEYS = { control: ['a', 's', 'd', 'g'], layout: ['h', 'j', 'k', 'l'] } as const;

/** The break once balls, control and layout are said. */
function toldOf(telling: Telling): Seen | undefined {
  const { balls, control, layout } = telling;
  if (balls === null || control === null || layout === null) return undefined;
  return { ...telling, balls, control, layout };
}

/** A break in a few taps: balls down, control, layout, the wing ball; what stays the same is kept for the next. */
export function useBreakPad({ actions, course, table }: ScoringProps & { readonly table: Table }): Pad {
  const { term } = useWords();
  const breaks = useBreakHabits(actions.scoring.attempts.length + 1);
  const { habits, block } = breaks;
  const [seen, setSeen] = useState(FIRST);
  const [places, setPlaces] = useState<Partial<Record<Part, Point>>>({});
  const part = block?.part ?? PARTS[0];
  const from = places[part] ?? null;
  const [rests, setRests] = useState<Rests>({});
  const rack = course.counting.drill.rack?.kind ?? 'eight';
  const put = (change: Partial<Telling>) => setSeen({ ...seen, ...change });
  const told = toldOf(seen);
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
      setPlaces({ ...places, [part]: at });
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
  return {
    actions: [...down, ...control, ...layout, ...wings, lost, save],
    hint:
      tapHint(from, rests, kept) ??
      'Say how many balls are down, how well the cue ball was kept, and how open the table lies.',
    onTap,
    bringIn: {
      take: 'The break left this',
      missing: (lying) => tooMany(table, rack, lying),
      onTake: (lying) => {
        const { cue, balls, inOff, ...grades } = breakFromPlaces(table, rack, lying);
        put({ balls, inOff, ...grades });
        setRests(cue === undefined ? {} : { cue: onCloth(cue, table) });
      },
    },
    marks: (
      <>
        {from !== null && <LandingMark at={from} />}
        {rests.cue !== undefined && <LandingMark at={rests.cue} strong />}
        {rests.next !== undefined && <GhostMark at={rests.next} radius={table.preset.ballRadius} />}
      </>
    ),
    buttons: (
      <div className="scoring-rows">
        {block !== undefined && (
          <Text fw={700} role="status" data-testid="block">
            {blockWords(block, breaks)}
          </Text>
        )}
        <PadRow label="Balls down" actions={down} />
        <PadRow label="Cue ball kept, 0 to 3" actions={control} />
        <PadRow label="Layout, 0 to 3" actions={layout} />
        <PadRow label="Wing ball" actions={wings} />
        <PadRow label="Cue ball" actions={[lost]} />
        <PadButton action={save} />
      </div>
    ),
    below: <BreakMore seen={seen} onSeen={put} breaks={breaks} setting={speedSetting(table, rack, from)} />,
  };
}

/** Why balls at rest are no break of this rack; undefined where they are. */
function tooMany(table: Table, rack: Rack, lying: readonly BallOnTable[]): string | undefined {
  if (lying.length === 0) return 'No ball is seen yet.';
  const racked = rackBalls(rack, table.preset).length;
  const objects = lying.filter(({ id }) => (rack === 'reds' ? id.startsWith('red') : id !== CUE_BALL)).length;
  return objects > racked ? `${String(objects)} balls are seen, ${String(racked)} were racked.` : undefined;
}

/** How far the cue ball of a full hit on the head ball runs; undefined where nobody said from where, or it is no such break. */
function speedSetting(table: Table, rack: Rack, from: Point | null): SpeedSetting | undefined {
  if (from === null || rack === 'reds') return undefined;
  const stroke = { from, at: 0, covered: 1, past: 'right', speed: 1, tip: LEVEL_TIP, elevation: 0 } as const;
  return {
    distance: wayToRack(table, rackBalls(rack, table.preset), stroke),
    slowing: table.parameters.slidingFriction * table.parameters.gravity,
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

/** With what the next break is made: "B, break 2 of 3: light cue. Change after it." */
function blockWords({ part, within, last }: BlockPlace, { size, habits }: BreakHabits): string {
  const what = [habits.cue, habits.aim, habits.pace].filter((each) => each !== null).join(', ');
  const named = what === '' ? '' : `: ${what}`;
  return `${part}, break ${within} of ${size}${named}.${last ? ' Change after it.' : ''}`;
}
