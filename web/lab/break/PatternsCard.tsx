import { Anchor, Button, Group, Text, UnstyledButton } from '@mantine/core';
import { Link } from 'react-router';
import { patternDrill } from '../../../core/drill/patternDrill.ts';
import type { BallOnTable } from '../../../core/motion/shot.ts';
import { tableOf } from '../../../core/planning/position/prepared.ts';
import { useViewer } from '../../api/viewer.ts';
import { useDraftDrill } from '../../controls/useDraftDrill.ts';
import { RunHead } from '../../planner/RunHead.tsx';
import { useOneRun } from '../../planner/useOneRun.ts';
import { shotToLink, shotWith } from '../../table/labShot.ts';
import { patternsHoldWords, patternWords } from '../../words/breakStudyWords.ts';
import { percent } from '../../words/units.ts';
import { leftPatternsOf } from '../../workers/break.ts';
import type { BreakAsked, LaidPatterns } from '../../workers/breakProtocol.ts';

/** So many typical tables are told. */
const PATTERNS = 3;
const nameOf = (i: number) => String.fromCharCode(65 + i);

interface PatternsCardProps {
  readonly asked: BreakAsked;
  /** Shows a table as it was left. */
  readonly onShow: (balls: readonly BallOnTable[] | undefined) => void;
}

/** The tables that this break tends to leave: looked at, planned, or made a drill of. */
export function PatternsCard({ asked, onShow }: PatternsCardProps) {
  const viewer = useViewer();
  const openDraft = useDraftDrill();
  const { kind } = asked.rack;
  const run = useOneRun<LaidPatterns>(JSON.stringify(asked), (onShare) =>
    leftPatternsOf(asked, PATTERNS, onShare),
  );
  const left = run.answer;
  const tables = left?.tables ?? [];
  const table = tableOf(asked.table);
  const makeDrill = async () => {
    const stages = tables.map((balls, i) => ({ title: `Table ${nameOf(i)}`, balls }));
    const drill = patternDrill(asked.table.preset.id, kind, stages);
    await openDraft(`break ${crypto.randomUUID()}`, drill);
  };
  const order = kind === 'nine' ? 'rotation' : 'suits';
  return (
    <section className="card" aria-labelledby="patterns-title" aria-busy={run.isRunning}>
      <RunHead
        title="What it tends to leave"
        id="patterns-title"
        ask="See it"
        counted="Breaks played"
        run={run}
      />
      {!run.isBegun && (
        <Text size="sm">
          {kind === 'reds'
            ? 'Of many break-offs: a few tables that stand for the others.'
            : 'Of many breaks after which the next ball is on: a few tables that stand for the others.'}
        </Text>
      )}
      {left?.patterns.length === 0 && <Text size="sm">After none of them the next ball was on.</Text>}
      <ol className="plan-steps">
        {left?.patterns.map((pattern, i) => (
          <li key={pattern.number}>
            <UnstyledButton className="plan-step" onClick={() => onShow(tables[i])}>
              <Text fw={600} size="sm">
                {nameOf(i)}: {percent(pattern.share)} of them
              </Text>
              <Text size="xs" c="dimmed">
                {patternWords(pattern, kind)}
              </Text>
            </UnstyledButton>
            <Anchor
              component={Link}
              size="xs"
              to={`/lab/order?${new URLSearchParams({
                shot: shotToLink(shotWith(table, tables[i] ?? [])),
                order,
              }).toString()}`}
            >
              Plan table {nameOf(i)}
            </Anchor>
          </li>
        ))}
      </ol>
      {left !== undefined && left.patterns.length > 0 && (
        <>
          <Text size="xs" c="dimmed">
            {patternsHoldWords(left, kind)} Balls by their places in the rack. Tap a table to see it.
          </Text>
          <Group gap={6} mt={6}>
            <Button size="compact-xs" variant="default" onClick={() => onShow(undefined)}>
              Show the rack
            </Button>
            {viewer.role === 'coach' && (
              <Button size="compact-xs" variant="default" onClick={() => void makeDrill()}>
                Make a drill of them
              </Button>
            )}
          </Group>
        </>
      )}
    </section>
  );
}
