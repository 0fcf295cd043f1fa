import { Button, Text } from '@mantine/core';
import type { BestBreak } from '../../../core/virtual/breaks/bestBreak.ts';
import type { BreakStroke } from '../../../core/virtual/breaks/breakShot.ts';
import { RunHead } from '../../planner/RunHead.tsx';
import { useOneRun } from '../../planner/useOneRun.ts';
import { bestWords } from '../../words/breakStudyWords.ts';
import { bestBreakOf } from '../../workers/break.ts';
import type { BreakAsked } from '../../workers/breakProtocol.ts';

interface BestCardProps {
  readonly asked: BreakAsked;
  readonly onTake: (stroke: BreakStroke) => void;
}

/** The break that is worth most for this table, rack and player, and why. */
export function BestCard({ asked, onTake }: BestCardProps) {
  const { kind } = asked.rack;
  const run = useOneRun<BestBreak>(JSON.stringify(asked), (onShare) => bestBreakOf(asked, onShare));
  const found = run.answer;
  return (
    <section className="card" aria-labelledby="best-title" aria-busy={run.isRunning}>
      <RunHead title="The best break" id="best-title" ask="Look for it" counted="Breaks played" run={run} />
      {!run.isBegun && (
        <Text size="sm">
          Over place, pace, ball, fullness and tip, for this rack and this player; then held to yours by fresh
          breaks.
        </Text>
      )}
      {found !== undefined && (
        <>
          <div data-testid="best-found">
            {bestWords(found, kind).map((line) => (
              <Text key={line} size="sm">
                {line}
              </Text>
            ))}
          </div>
          {found.gain.error > 0 && (
            <Button size="compact-xs" variant="default" mt={6} onClick={() => onTake(found.stroke)}>
              Use it
            </Button>
          )}
          <Text size="xs" c="dimmed" mt={4}>
            {kind === 'reds'
              ? 'Worth: how often nothing is on for the opponent.'
              : 'Worth: a ball down, no foul, and the next pot made.'}
          </Text>
        </>
      )}
    </section>
  );
}
