import { Button, Group } from '@mantine/core';
import type { ClubTable } from '../../core/records/clubTable.ts';
import { UndoRedo } from '../controls/UndoRedo.tsx';
import { useAddress } from '../controls/useAddress.ts';
import { addBall, removeBall, shotToLink } from '../table/labShot.ts';
import { BallPanel } from './BallPanel.tsx';
import { LabHead } from './LabHead.tsx';
import type { useBallBench } from './useBallBench.ts';

interface BenchProps {
  readonly bench: ReturnType<typeof useBallBench>;
}

/** The head of a bench of balls: its table, back and on, and the link to it as it stands. */
export function BenchHead({ bench, tables }: BenchProps & { readonly tables: readonly ClubTable[] }) {
  const { set } = useAddress();
  const { shot, chosen, history } = bench;
  return (
    <>
      <LabHead tables={tables} table={shot.table} chosen={chosen} onChoose={bench.chooseTable} />
      <Group gap={6}>
        <UndoRedo past={history.past} future={history.future} onUndo={bench.undo} onRedo={bench.redo} />
        <Button size="xs" variant="default" onClick={() => set({ shot: shotToLink(shot), table: null })}>
          Link
        </Button>
      </Group>
    </>
  );
}

/** The balls of a bench in numbers: moved, put on and taken off. */
export function BenchBalls({ bench: { shot, selected, select, move, change } }: BenchProps) {
  return (
    <BallPanel
      shot={shot}
      selected={selected}
      onSelect={select}
      onMove={move}
      onAdd={(id) => change(addBall(shot, id))}
      onRemove={(id) => change(removeBall(shot, id))}
    />
  );
}
