import { useMemo, useState, type ReactNode } from 'react';
import { isAskedLeave, leaveAsked } from '../../../core/counting/leaveGrade.ts';
import { CUE_BALL } from '../../../core/drill/layout.ts';
import { ballsOfSetUp, setUp } from '../../../core/drill/setUp.ts';
import { atStation } from '../../../core/drill/station.ts';
import type { Point } from '../../../core/math/point.ts';
import type { BallOnTable } from '../../../core/motion/shot.ts';
import { opponentError } from '../../../core/player/opponent.ts';
import type { Drill } from '../../../core/records/drill.ts';
import type { KickTold } from '../../../core/scoring/kickCause.ts';
import { readKick, type KickRead, type KickTaps } from '../../../core/scoring/kickTaps.ts';
import type { Table } from '../../../core/table/table.ts';
import { GhostMark, LandingMark } from '../../table/marks.tsx';
import { kickReadWords } from '../../words/kickWords.ts';
import type { KickEnd } from '../../workers/kickProtocol.ts';
import { onCloth } from '../scoring.ts';
import type { ScoringProps } from '../ScoringLayout.tsx';
import type { Pad } from './pad.ts';
import { useKickTold } from './useKickTold.ts';

/** Where the balls stopped, as far as it was tapped: the cue ball first, then the ball that was to be met. */
type Taps = Partial<KickTaps>;

/** A kick as it is told by two taps. */
interface TappedKick {
  readonly cueAt: Point | undefined;
  /** What they leave, once both are there. */
  readonly read: KickRead | undefined;
  /** How the ball was met and what was off, once it is worked out. */
  readonly told: KickTold | undefined;
  readonly onTap: (place: Point) => void;
  /** The same by something else than taps. */
  readonly bringIn: NonNullable<Pad['bringIn']>;
  readonly clear: () => void;
  readonly marks: ReactNode;
  /** Whether it leaves what the drill asks for; undefined where that is anything, or before both are there. */
  readonly asAsked: boolean | undefined;
  /** What the taps say, or which one is next; undefined before the first. */
  readonly hint: string | undefined;
}

/** Two taps where the balls of a kick stopped. @param onRead told what they leave as soon as both are there */
export function useKickTaps(
  { course, actions, open, table }: ScoringProps & { readonly table: Table },
  onRead: (read: KickRead) => void = () => undefined,
): TappedKick {
  const [taps, setTaps] = useState<Taps>({});
  const { drill } = course.counting;
  const seed = open.round.seed + actions.scoring.attempts.length;
  const attempt = actions.scoring.attempts.length + 1;
  const balls = useMemo(
    () => ballsOfSetUp(setUp(atStation(drill, attempt), table.preset, seed)),
    [drill, table, seed, attempt],
  );
  const read = useMemo(() => readOf(drill, table, balls, taps), [drill, table, balls, taps]);
  const told = useKickTold(drill, table, seed, attempt, endOf(taps, read));
  const { task } = drill;
  const asked = task.kind === 'kick' || task.kind === 'safety' ? leaveAsked(task) : undefined;
  /** The first tap is the cue ball, the second the other one; the third begins again. */
  const onTap = (place: Point) => {
    const at = onCloth(place, table);
    const isSecond = taps.cueAt !== undefined && taps.targetAt === undefined;
    put(isSecond ? { ...taps, targetAt: at } : { cueAt: at });
  };
  const put = (next: Taps) => {
    setTaps(next);
    const now = readOf(drill, table, balls, next);
    if (now !== undefined) onRead(now);
  };
  const target = 'target' in task ? task.target : '';
  const asAsked = asked === undefined || read === undefined ? undefined : isAskedLeave(asked, read);
  return {
    cueAt: taps.cueAt,
    read,
    told,
    onTap,
    asAsked,
    bringIn: {
      take: 'The balls stopped here',
      missing: (lying) => {
        if (lying.every(({ id }) => id !== CUE_BALL)) return 'The cue ball is not there.';
        return lying.some(({ id }) => id === target) ? undefined : `The ${target} is not there.`;
      },
      onTake: (lying) => {
        const cueAt = lying.find(({ id }) => id === CUE_BALL);
        const targetAt = lying.find(({ id }) => id === target);
        if (cueAt !== undefined && targetAt !== undefined)
          put({ cueAt: onCloth(cueAt, table), targetAt: onCloth(targetAt, table) });
      },
      laid: balls,
    },
    clear: () => setTaps({}),
    marks: (
      <>
        {taps.cueAt !== undefined && <LandingMark at={taps.cueAt} strong />}
        {taps.targetAt !== undefined && <GhostMark at={taps.targetAt} radius={table.preset.ballRadius} />}
      </>
    ),
    hint: hintOf(taps, read, told, asAsked, 'target' in drill.task ? drill.task.target : ''),
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
  if ((task.kind !== 'kick' && task.kind !== 'safety') || !isThere(CUE_BALL) || !isThere(task.target))
    return undefined;
  const opponent = opponentError(drill, table.preset.game);
  return readKick(table, balls, CUE_BALL, task.target, { cueAt, targetAt }, opponent);
}

/** Both places, once they are there. */
function endOf({ cueAt, targetAt }: Taps, read: KickRead | undefined): KickEnd | undefined {
  if (cueAt === undefined || targetAt === undefined || read === undefined) return undefined;
  return { cueAt, targetAt, missed: read.missed };
}

function hintOf(
  { cueAt }: Taps,
  read: KickRead | undefined,
  told: KickTold | undefined,
  asAsked: boolean | undefined,
  target: string,
): string | undefined {
  if (read !== undefined) return kickReadWords(read, told, asAsked);
  return cueAt === undefined
    ? undefined
    : `Now tap where the ${target} stopped; where it lay, if it was not met.`;
}
