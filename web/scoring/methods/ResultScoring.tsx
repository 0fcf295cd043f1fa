import { useMediaQuery } from '@mantine/hooks';
import { useState } from 'react';
import type { BallOnTable } from '../../../core/motion/shot.ts';
import type { Table } from '../../../core/table/table.ts';
import { BringIn } from '../../planner/places/BringIn.tsx';
import { DrillDrawing } from '../../table/DrillDrawing.tsx';
import { GhostMark } from '../../table/marks.tsx';
import { LastShot } from '../LastShot.tsx';
import { ScoringLayout, type ScoringProps } from '../ScoringLayout.tsx';
import { useBreakPad } from '../pads/useBreakPad.tsx';
import { useContactPad } from '../pads/useContactPad.tsx';
import { useKickPad } from '../pads/useKickPad.tsx';
import { useLivesPad } from '../pads/useLivesPad.tsx';
import { useMadePad } from '../pads/useMadePad.tsx';
import type { Pad } from '../pads/pad.ts';
import { useTellBeside } from '../useTellBeside.ts';

interface ResultScoringProps extends ScoringProps {
  readonly table: Table;
}

/** Scoring by what came of an attempt: how it was hit, what it left, what fell; by the drill's own count. */
export function ResultScoring(props: ResultScoringProps) {
  switch (props.course.counting.drill.scoring.method) {
    case 'graded-contact':
      return <ContactScoring {...props} />;
    case 'kick':
      return <KickScoring {...props} />;
    case 'break-score':
      return <BreakScoring {...props} />;
    case 'lives':
      return <LivesScoring {...props} />;
    default:
      return <MadeScoring {...props} />;
  }
}

function ContactScoring(props: ResultScoringProps) {
  return <PadScoring {...props} word="station" pad={useContactPad(props)} />;
}

function KickScoring(props: ResultScoringProps) {
  return <PadScoring {...props} word="kick" pad={useKickPad(props)} />;
}

function BreakScoring(props: ResultScoringProps) {
  return <PadScoring {...props} word="break" pad={useBreakPad(props)} />;
}

function LivesScoring(props: ResultScoringProps) {
  return <PadScoring {...props} word="try" pad={useLivesPad(props)} />;
}

function MadeScoring(props: ResultScoringProps) {
  return <PadScoring {...props} word="attempt" pad={useMadePad(props)} />;
}

interface PadScoringProps extends ResultScoringProps {
  readonly word: string;
  readonly pad: Pad;
}

function PadScoring(props: PadScoringProps) {
  const { open, course, actions, table, word, pad } = props;
  const { drill } = course.counting;
  /** Balls that a device sees, before they are taken. */
  const [seen, setSeen] = useState<readonly BallOnTable[]>([]);
  const tellBeside = useTellBeside(open.round);
  const portrait = useMediaQuery('(orientation: portrait)', false, { getInitialValueInEffect: false });
  return (
    <ScoringLayout
      {...props}
      word={word}
      pad={pad.actions}
      hint={pad.hint}
      table={
        <DrillDrawing
          drill={drill}
          stage={open.round.stage}
          table={table}
          seed={open.round.seed + actions.scoring.attempts.length}
          attempt={actions.scoring.attempts.length + 1}
          orientation={portrait ? 'portrait' : 'landscape'}
          {...(pad.positions === undefined ? {} : { positions: pad.positions })}
          {...(pad.onTap === undefined || actions.scoring.ended !== null ? {} : { onTap: pad.onTap })}
        >
          {actions.scoring.ended === null && pad.marks}
          {seen.map((ball) => (
            <GhostMark key={ball.id} at={ball} radius={ball.radius} />
          ))}
        </DrillDrawing>
      }
      below={
        <>
          {pad.below}
          <LastShot course={course} actions={actions} word={word.charAt(0).toUpperCase() + word.slice(1)} />
        </>
      }
    >
      {pad.buttons}
      {pad.bringIn !== undefined && actions.scoring.ended === null && (
        <BringIn
          {...pad.bringIn}
          table={table}
          onSeen={setSeen}
          onBeside={tellBeside}
          turn={actions.scoring.attempts.length}
        />
      )}
    </ScoringLayout>
  );
}
