import { useMemo, useState } from 'react';
import type { Point } from '../../../core/math/point.ts';
import { tableOf } from '../../../core/planning/position/prepared.ts';
import { openingOf, type Opening } from '../../../core/virtual/breaks/opening.ts';
import { drawnBreak, playedBreak } from '../../../core/virtual/breaks/breakStudy.ts';
import { CUE } from '../../table/labShot.ts';
import { usePlayback } from '../../table/usePlayback.ts';
import { playedBreakWords } from '../../words/breakStudyWords.ts';
import { useWords } from '../../words/useWords.ts';
import type { BreakAsked } from '../../workers/breakProtocol.ts';

/** A break that was played once. */
interface Broken {
  readonly opening: Opening;
  /** A ball by its place in the rack, the head ball being 1. */
  readonly nameOf: (id: string) => string;
  /** What it came to. */
  readonly words: string;
}

export interface OneBreak {
  readonly broken: Broken | undefined;
  /** Breaks once more, with another rack and other errors. */
  readonly again: () => void;
  /** Shows it on the table at its own pace. */
  readonly play: () => void;
  /** Where its balls are meanwhile; undefined while it is not shown. */
  readonly positions: ReadonlyMap<string, Point | null> | undefined;
}

/** One break of a question: with another question it is forgotten. */
export function useOneBreak(asked: BreakAsked): OneBreak {
  const { vocabulary } = useWords();
  const key = JSON.stringify(asked);
  const [drawn, setDrawn] = useState<{
    readonly key: string;
    readonly number: number;
    readonly asked: BreakAsked;
  }>();
  const now = drawn?.key === key ? drawn : undefined;
  const broken = useMemo(() => {
    if (now === undefined) return undefined;
    const { kind } = now.asked.rack;
    const shot = drawnBreak({ ...now.asked, table: tableOf(now.asked.table) }, now.number);
    const opening = openingOf(shot);
    const nameOf = (id: string) =>
      id === CUE ? 'the cue ball' : String(shot.balls.findIndex((ball) => ball.id === id));
    const words = playedBreakWords(playedBreak(shot, kind, false), kind, vocabulary);
    return { shot, result: opening.result, opening, nameOf, words };
  }, [now, vocabulary]);
  const { positions, play } = usePlayback(broken);
  return {
    broken,
    again: () => setDrawn({ key, number: (now?.number ?? -1) + 1, asked }),
    play,
    positions,
  };
}
