import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import type { Shot } from '../../../core/motion/shot.ts';
import type { ThumbAnswer } from '../../../core/shot/kicks/thumb/thumbAnswers.ts';
import type { ThumbMap } from '../../../core/shot/kicks/thumb/thumbMap.ts';
import type { ThumbPace } from '../../../core/shot/kicks/thumb/thumbRules.ts';
import { tableFingerprint } from '../../../core/table/table.ts';
import { thumbFiguresQuery } from '../../planner/kick/thumbFigures.ts';
import { useLatest } from '../../planner/useLatest.ts';
import { CUE } from '../../table/labShot.ts';
import { thumbSolver } from '../../workers/thumb.ts';

/** The rules of thumb for the balls as they lie: asked for by hand, then they follow the balls. */
export interface Thumbs {
  readonly isAsked: boolean;
  readonly ask: () => void;
  readonly pace: ThumbPace;
  readonly setPace: (pace: ThumbPace) => void;
  readonly answers: readonly ThumbAnswer[] | undefined;
  readonly current: boolean;
  readonly failed: Error | undefined;
  /** The rule that is looked at, and how it stands from all over the table once that is asked for. */
  readonly chosen: ThumbAnswer | undefined;
  readonly choose: (answer: ThumbAnswer | undefined) => void;
  readonly map: ThumbMap | undefined;
  readonly isMapShown: boolean;
  readonly showMap: (shown: boolean) => void;
}

const questionKey = (answer: ThumbAnswer | undefined) => JSON.stringify(answer?.question ?? null);

export function useThumbs(shot: Shot, targetId: string): Thumbs {
  const [isAsked, setAsked] = useState(false);
  const [pace, setPace] = useState<ThumbPace>('soft');
  const [wanted, setWanted] = useState<string>();
  const [isMapShown, showMap] = useState(false);
  const { table, balls } = shot;
  const text = useMemo(() => ({ preset: table.preset, parameters: table.parameters }), [table]);
  const fingerprint = useMemo(() => tableFingerprint(table), [table]);
  const figures = useQuery({ ...thumbFiguresQuery(text, fingerprint), enabled: isAsked });
  const from = balls.find(({ id }) => id === CUE);
  const target = balls.find(({ id }) => id === targetId);
  const known = figures.data && { table: text, figures: figures.data };
  const where = from && target && { from, target: { x: target.x, y: target.y } };
  const told = useLatest(
    isAsked && known && where ? JSON.stringify([fingerprint, pace, where]) : undefined,
    async () => (known && where ? thumbSolver().answers(known, pace, where.from, where.target) : []),
  );
  const answers = told.answer;
  const chosen = answers?.find((answer) => questionKey(answer) === wanted);
  const mapped = useLatest(
    isMapShown && chosen && known && where
      ? JSON.stringify([fingerprint, pace, where.target, chosen.question])
      : undefined,
    async () =>
      known && where && chosen ? thumbSolver().map(known, chosen.question, pace, where.target) : undefined,
  );
  return {
    isAsked,
    ask: () => setAsked(true),
    pace,
    setPace,
    answers,
    current: told.current,
    failed: figures.error ?? told.failed ?? mapped.failed,
    chosen,
    choose: (answer) => setWanted(answer === undefined ? undefined : questionKey(answer)),
    map: isMapShown && chosen !== undefined ? mapped.answer : undefined,
    isMapShown,
    showMap,
  };
}
