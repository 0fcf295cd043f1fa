import { Button, Group, Select } from '@mantine/core';
import { NumberEntry } from '../../controls/NumberEntry.tsx';
import { useState } from 'react';
import type { Drill } from '../../../core/records/drill.ts';
import { NOTHING_ENTERED, type Entered } from '../../../core/records/entered.ts';
import { breakMaximum } from '../../../core/counting/breakPoints.ts';
import { objectBalls } from '../../../core/drill/round.ts';
import { PadButton } from './PadButton.tsx';
import type { PadAction } from '../../controls/padAction.ts';

interface QuickClearancePadProps {
  readonly drill: Drill;
  readonly actions: readonly PadAction[];
  readonly toggle: PadAction;
  readonly onEnter: (entered: Entered) => void;
}

const PENALTIES = [0, 4, 5, 6, 7];

/** The result of a clearance alone. */
export function QuickClearancePad({ drill, actions, toggle, onEnter }: QuickClearancePadProps) {
  const [main, ...rest] = actions;
  return (
    <div className="scoring-buttons">
      {drill.scoring.method === 'break-points' ? (
        <PointsForm drill={drill} onEnter={onEnter} />
      ) : (
        <>
          {main !== undefined && <PadButton action={main} />}
          {rest.length === 1 && rest[0] !== undefined ? (
            <PadButton action={rest[0]} />
          ) : (
            <div className="pad-row">
              {rest.map((action) => (
                <PadButton
                  key={action.label}
                  action={{ ...action, label: action.label.split(' ')[0] ?? '' }}
                  small
                />
              ))}
            </div>
          )}
        </>
      )}
      <PadButton action={toggle} small />
    </div>
  );
}

/** A break's points and what its foul gave away. */
function PointsForm({ drill, onEnter }: Pick<QuickClearancePadProps, 'drill' | 'onEnter'>) {
  const [points, setPoints] = useState<number>();
  const [penalty, setPenalty] = useState(0);
  const reds = objectBalls(drill).filter((id) => id.startsWith('red')).length;
  const most = breakMaximum(reds);
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (points === undefined) return;
        onEnter({ ...NOTHING_ENTERED, done: points === most, points, penalty });
        setPoints(undefined);
        setPenalty(0);
      }}
    >
      <NumberEntry
        whole
        live
        label="Points of the break"
        size="md"
        min={0}
        max={most}
        value={points ?? null}
        onEnter={setPoints}
        onClear={() => setPoints(undefined)}
      />
      <Group align="end" mt={6} wrap="nowrap">
        <Select
          label="Given away by a foul"
          size="md"
          allowDeselect={false}
          data={PENALTIES.map(String)}
          value={String(penalty)}
          onChange={(value) => setPenalty(Number(value ?? 0))}
        />
        <Button type="submit" size="md" disabled={points === undefined}>
          Keep
        </Button>
      </Group>
    </form>
  );
}
