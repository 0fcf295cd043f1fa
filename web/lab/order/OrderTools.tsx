import { Button, Group } from '@mantine/core';
import type { Dispatch } from 'react';
import { drillFromOrder } from '../../../core/drill/orderDrill.ts';
import type { PlanStep } from '../../../core/planning/order/course.ts';
import type { LevelName } from '../../../core/player/levels.ts';
import type { Condition } from '../../../core/records/drill.ts';
import { useViewer } from '../../api/viewer.ts';
import { UndoRedo } from '../../controls/UndoRedo.tsx';
import { useAddress } from '../../controls/useAddress.ts';
import { useDraftDrill } from '../../controls/useDraftDrill.ts';
import { CUE, shotToLink } from '../../table/labShot.ts';
import { pocketWords } from '../../words/places.ts';
import { useWords } from '../../words/useWords.ts';
import type { StrokeAction, StrokeState } from '../stroke/strokeState.ts';
import type { ClearOrder } from './orderSetting.ts';
import { SetTable, type TableSet } from './SetTable.tsx';

interface OrderToolsProps {
  readonly state: StrokeState;
  readonly asked: { readonly order: ClearOrder; readonly conditions: readonly Condition[] };
  readonly level: LevelName;
  readonly planned: readonly PlanStep[];
  readonly dispatch: Dispatch<StrokeAction>;
  readonly onSet: (set: TableSet) => void;
}

/** What can be done with the bench's table as a whole. */
export function OrderTools({ state, asked, level, planned, dispatch, onSet }: OrderToolsProps) {
  const { set } = useAddress();
  const { vocabulary } = useWords();
  const viewer = useViewer();
  const openDraft = useDraftDrill();
  const { steps: history } = state;
  const { shot } = history.present;
  const balls = shot.balls.filter(({ id }) => id !== CUE);
  async function makeDrill() {
    const cue = shot.balls.find(({ id }) => id === CUE);
    const drill = drillFromOrder({ ...asked, table: shot.table, balls, cue }, planned, (pocket) =>
      pocketWords(pocket, vocabulary),
    );
    await openDraft(`order ${crypto.randomUUID()}`, drill);
  }
  return (
    <Group gap={6} className="no-print">
      <UndoRedo
        past={history.past}
        future={history.future}
        onUndo={() => dispatch({ kind: 'undo' })}
        onRedo={() => dispatch({ kind: 'redo' })}
      />
      <SetTable position={history.present} order={asked.order} level={level} onSet={onSet} />
      <Button size="xs" variant="default" onClick={() => set({ shot: shotToLink(shot), table: null })}>
        Link
      </Button>
      <Button size="xs" variant="default" disabled={planned.length === 0} onClick={() => window.print()}>
        Print
      </Button>
      {viewer.role === 'coach' && balls.length > 0 && (
        <Button size="xs" variant="default" onClick={() => void makeDrill()}>
          Make a drill of it
        </Button>
      )}
    </Group>
  );
}
