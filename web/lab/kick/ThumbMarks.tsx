import { useMemo } from 'react';
import { simulate } from '../../../core/motion/simulate.ts';
import type { Shot } from '../../../core/motion/shot.ts';
import type { Point } from '../../../core/math/point.ts';
import type { ThumbAnswer } from '../../../core/shot/kicks/thumb/thumbAnswers.ts';
import type { ThumbMap } from '../../../core/shot/kicks/thumb/thumbMap.ts';
import { thumbCushions } from '../../../core/shot/kicks/thumb/thumbRules.ts';
import { kickShot } from '../../../core/shot/kicks/way.ts';
import { ThumbMapMark } from '../../planner/kick/ThumbMapMark.tsx';
import { CUE } from '../../table/labShot.ts';
import { AimMark, PathMark } from '../../table/marks.tsx';

interface ThumbMarksProps {
  readonly shot: Shot;
  readonly answer: ThumbAnswer | undefined;
  readonly map: ThumbMap | undefined;
}

/** Where a rule of thumb sends the cue ball, on the bare table, and the way that is right; under them its map. */
export function ThumbMarks({ shot, answer, map }: ThumbMarksProps) {
  const { table, balls } = shot;
  const cue = balls.find(({ id }) => id === CUE);
  const ways = useMemo(() => {
    if (answer === undefined || cue === undefined) return [];
    const bare = { table, balls: [cue], cue: CUE };
    const cushions = thumbCushions(answer.question).length;
    const to = (at: Point) => Math.atan2(at.y - cue.y, at.x - cue.x);
    return [answer.right && to(answer.right.at), answer.direction].flatMap((direction) => {
      if (direction === undefined) return [];
      const { paths, events, duration } = simulate(kickShot(bare, answer.stroke, direction), { paths: true });
      const end = events.filter(({ kind }) => kind === 'ball-cushion')[cushions]?.t ?? duration;
      return (paths ?? []).map((path) => ({ path, end, isRule: direction === answer.direction }));
    });
  }, [table, cue, answer]);
  if (cue === undefined) return null;
  return (
    <>
      {map !== undefined && <ThumbMapMark map={map} />}
      {ways.map(({ path, end, isRule }) => (
        <PathMark key={String(isRule)} path={path} duration={end} kind="cue" kept={!isRule} />
      ))}
      {answer !== undefined && <AimMark from={cue} to={answer.aim.at} />}
    </>
  );
}
