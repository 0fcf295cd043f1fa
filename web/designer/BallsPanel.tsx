import { useWords } from '../words/useWords.ts';
import { Button, Group, Text } from '@mantine/core';
import { CUE_BALL, layOutWhatCan } from '../../core/drill/layout.ts';
import { sharePlace } from '../../core/drill/snapPlace.ts';
import type { PlaceText } from '../../core/records/drill.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import { UnitEntry } from '../controls/UnitEntry.tsx';
import { BallButtons } from '../table/BallButtons.tsx';
import { addBall, offeredNames, placeBall, removeBall, shown, type Part } from './edits.ts';
import type { PanelProps } from './panel.ts';
import { TargetList } from './TargetList.tsx';
import { StationsForm } from './StationsForm.tsx';
import { ThrowForm } from './ThrowForm.tsx';
import { placeUnit } from '../words/lengths.ts';

interface BallsPanelProps extends PanelProps {
  readonly part: Part;
  readonly selected: string;
  readonly onSelect: (id: string) => void;
}

/** How a place is bound, in words: a drill can be set on another table by it. */
function placeWords(at: PlaceText): string {
  if ('spot' in at) return `on the ${at.spot} spot`;
  if ('diamonds' in at) return 'at a diamond';
  if ('frozen' in at) return `frozen to the ${at.frozen} cushion`;
  if ('beside' in at) return `against the ${at.beside}`;
  return 'share' in at ? 'in proportion to the table' : 'at a measured place';
}

/** The balls of the drill: which is in hand, where it lies, more and fewer of them; targets and throws. */
export function BallsPanel({ drill, edit, part, selected, onSelect }: BallsPanelProps) {
  const { term } = useWords();
  const preset = TABLE_PRESETS[drill.table];
  const view = shown(drill, part);
  const text = view.balls.find((ball) => ball.id === selected);
  const placed = layOutWhatCan(view, preset).find((ball) => ball.id === selected);
  const move = (to: { readonly x: number; readonly y: number }) =>
    edit(placeBall(drill, part, selected, sharePlace(to, preset)), `typed ${selected}`);
  return (
    <>
      <BallButtons balls={view.balls} selected={selected} onSelect={onSelect} />
      {text !== undefined && placed !== undefined && (
        <>
          <Text size="sm" mt={6}>
            Lies {placeWords(text.at)}.
          </Text>
          <Group mt={4} gap={8} align="end" wrap="nowrap">
            {(
              [
                [`From the ${term('headEnd')}`, 'x', preset.length],
                ['From the right', 'y', preset.width],
              ] as const
            ).map(([label, axis, size]) => (
              <UnitEntry
                key={`${axis} ${selected}`}
                label={label}
                in={placeUnit()}
                size="xs"
                min={0}
                max={size}
                value={placed[axis]}
                onEnter={(value) => move({ ...placed, [axis]: value })}
              />
            ))}
            <Button
              size="xs"
              variant="default"
              style={{ flexShrink: 0 }}
              onClick={() => edit(removeBall(drill, part, selected))}
            >
              {part === 'base' ? 'Take off' : 'Not in this stage'}
            </Button>
          </Group>
        </>
      )}
      <Group gap={4} mt={8}>
        <Text size="sm" c="dimmed">
          Put on
        </Text>
        {offeredNames(drill).map((id) => (
          <Button
            key={id}
            size="compact-xs"
            variant="default"
            onClick={() => {
              edit(addBall(drill, id));
              onSelect(id);
            }}
          >
            {id === CUE_BALL ? 'cue ball' : id}
          </Button>
        ))}
      </Group>
      <StationsForm drill={drill} edit={edit} />
      <ThrowForm drill={drill} edit={edit} />
      <TargetList drill={drill} edit={edit} />
      <Text size="xs" c="dimmed" mt={10}>
        Drag balls, or with the table in focus: arrows move the ball in hand (Shift by more, Alt a hair), N
        takes the next, Ctrl Z undoes.
      </Text>
    </>
  );
}
