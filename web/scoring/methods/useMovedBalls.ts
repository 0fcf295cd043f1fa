import { skipToken, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { CUE_BALL } from '../../../core/drill/layout.ts';
import type { Point } from '../../../core/math/point.ts';
import type { BallOnTable } from '../../../core/motion/shot.ts';
import { cueBallAt } from '../../../core/planning/windowAmong.ts';
import type { LoggedShot } from '../../../core/records/loggedShot.ts';
import { liesAfter } from '../../../core/scoring/liesAfter.ts';
import type { WrittenPot } from '../../../core/scoring/movedByShot.ts';
import type { Table } from '../../../core/table/table.ts';
import type { PadAction } from '../../controls/padAction.ts';
import { movedHint } from '../clearanceWords.ts';
import { onCloth } from '../scoring.ts';
import { orderAdvisor } from '../../workers/advisor.ts';

/** A clearance under way. */
interface UnderWay {
  readonly table: Table;
  /** Balls as the attempt began, the cue ball among them where its place is known. */
  readonly began: readonly BallOnTable[];
  readonly shots: readonly LoggedShot[];
  /** Object balls that are still there. */
  readonly onTable: readonly string[];
}

/** What is asked about balls that the last shot moved, and how it is answered. */
export interface MovedBalls {
  /** Undefined while nothing is asked. */
  readonly hint: string | undefined;
  /** Asks, or says that nothing moved; undefined before the first shot. */
  readonly action: PadAction | undefined;
  /** Takes a tap as an answer. @param ball the one that was tapped @returns whether it was one */
  readonly answer: (place: Point, ball: string | undefined) => boolean;
}

/** Asks for a ball of which nobody has said which it is. */
const ANY_BALL = 'any';

/** The last shot as far as it tells what it moved; undefined where it does not. */
function writtenPot({ table, began, shots, onTable }: UnderWay): WrittenPot | undefined {
  const last = shots.at(-1);
  if (last === undefined || last.landing === null) return undefined;
  const ball = last.potted[0];
  if (ball === undefined || last.potted.length > 1) return undefined;
  const before = shots.at(-2);
  const cue =
    before === undefined
      ? began.find(({ id }) => id === CUE_BALL)
      : before.landing && cueBallAt(table, before.landing, CUE_BALL);
  if (cue === undefined || cue === null) return undefined;
  const balls = liesAfter(began, shots.slice(0, -1)).filter(({ id }) => onTable.includes(id) || id === ball);
  const landing: Point = last.landing;
  return { cue, balls, ball, pocket: last.pocket, landing };
}

/**
 * Asks where balls lie that the last shot has probably moved, one after the other, or one that the coach says was moved.
 * @param onMoved takes all places that are known of the last shot's moved balls
 */
export function useMovedBalls(
  underWay: UnderWay,
  isOff: boolean,
  onMoved: (moved: NonNullable<LoggedShot['moved']>) => void,
): MovedBalls {
  const { table, shots, onTable } = underWay;
  const { preset, parameters } = table;
  const last = shots.at(-1);
  const pot = isOff ? undefined : writtenPot(underWay);
  const told = useQuery({
    queryKey: ['moved by shot', preset.id, parameters, pot],
    queryFn: pot === undefined ? skipToken : () => orderAdvisor().moved({ preset, parameters }, pot),
    staleTime: Infinity,
    networkMode: 'always',
    retry: false,
  });
  const shot = shots.length;
  const [own, setOwn] = useState<{ readonly shot: number; readonly asked: string | undefined }>();
  if (isOff || last === undefined) return { hint: undefined, action: undefined, answer: () => false };
  const said = last.moved ?? [];
  // A ball that was played at and did not fall lies elsewhere in any case. The cue ball's place comes first.
  const missed = last.landing !== null && last.potted.length === 0 && last.ball !== null ? [last.ball] : [];
  const open = [...missed, ...(told.data ?? [])].find(
    (id) => onTable.includes(id) && said.every((each) => each.id !== id),
  );
  const byHand = own?.shot === shot;
  const asked = byHand ? own.asked : open;
  const ask = (ball: string | undefined) => setOwn({ shot, asked: ball });
  return {
    hint: asked && movedHint(asked === ANY_BALL ? undefined : asked, byHand),
    action:
      asked === undefined
        ? { key: 'j', label: 'A ball was moved', run: () => ask(ANY_BALL) }
        : { key: 'j', label: 'It did not move', run: () => ask(undefined), chosen: true },
    answer(place, ball) {
      // Where nobody asked for it, a tap at a ball is a pot, as ever.
      if (asked === undefined || (!byHand && ball !== undefined)) return false;
      if (asked !== ANY_BALL) {
        onMoved([...said.filter(({ id }) => id !== asked), { id: asked, ...onCloth(place, table) }]);
        setOwn(undefined);
      } else if (ball !== undefined) ask(ball);
      return true;
    },
  };
}
