import { Button, Group, Switch, Text } from '@mantine/core';
import { useDrag } from '@use-gesture/react';
import { useState, type KeyboardEvent } from 'react';
import { useParams } from 'react-router';
import { array, boolean, number, object, tuple } from 'yup';
import { useKept } from '../controls/useKept.ts';
import { useKeys } from '../controls/useKeys.ts';
import { Thrown, type Dot } from './Thrown.tsx';
import { useScreen } from './useScreen.ts';

/** How a projector hangs: where it has to throw the four corners, in shares of its picture, and for which cloth. */
interface Hanging {
  readonly corners: readonly Dot[];
  /** On a bright cloth lines are dark in a lit picture. */
  readonly isBright: boolean;
}

const FIRST: Hanging = {
  corners: [
    [0.1, 0.85],
    [0.1, 0.15],
    [0.9, 0.15],
    [0.9, 0.85],
  ],
  isBright: false,
};

const pair = () => tuple([number().strict().required(), number().strict().required()]).required();
const hangingSchema = object({
  corners: array(pair()).length(4).required(),
  isBright: boolean().strict().required(),
}).required();

function readHanging(value: unknown): Hanging | undefined {
  return hangingSchema.isValidSync(value) ? value : undefined;
}

const NAMES = ['head, right', 'head, left', 'foot, left', 'foot, right'];
const STEP = 1;
const FAR = 10;

/** The lesson's picture for a projector over the table: four corners are dragged onto the pockets, and lines fall on the cloth. */
export function ProjectorPage() {
  const { code = '' } = useParams();
  const { picture } = useScreen(code.toUpperCase());
  const [kept, keep] = useKept('jolly-projector', readHanging);
  const hanging = kept ?? FIRST;
  const [isSetting, setSetting] = useState(kept === undefined);
  useKeys([{ key: 'c', label: 'Corners', run: () => setSetting(!isSetting) }], { paused: false });
  const size = { width: window.innerWidth, height: window.innerHeight };
  const move = (i: number, to: Dot) =>
    keep({ ...hanging, corners: hanging.corners.map((corner, k) => (k === i ? to : corner)) });
  const drag = useDrag(
    ({ args: [i], xy: [x, y] }) => {
      if (typeof i === 'number') move(i, [x / size.width, y / size.height]);
    },
    { pointer: { keys: false } },
  );
  const onKey = (i: number) => (event: KeyboardEvent) => {
    const by = event.shiftKey ? FAR : STEP;
    const [dx, dy] =
      event.key === 'ArrowLeft'
        ? [-by, 0]
        : event.key === 'ArrowRight'
          ? [by, 0]
          : event.key === 'ArrowUp'
            ? [0, -by]
            : event.key === 'ArrowDown'
              ? [0, by]
              : [0, 0];
    if (dx === 0 && dy === 0) return;
    event.preventDefault();
    const [x, y] = hanging.corners[i] ?? [0, 0];
    move(i, [x + dx / size.width, y + dy / size.height]);
  };
  const thrown = hanging.corners.map(([x, y]): Dot => [x * size.width, y * size.height]);
  return (
    <main className={hanging.isBright ? 'projector bright' : 'projector'}>
      {picture !== undefined && <Thrown picture={picture} corners={thrown} isSetting={isSetting} />}
      {isSetting && (
        <>
          {thrown.map(([x, y], i) => (
            <button
              key={NAMES[i]}
              type="button"
              className="projector-corner"
              aria-label={`Corner: ${NAMES[i] ?? ''}`}
              style={{ left: x, top: y }}
              onKeyDown={onKey(i)}
              {...drag(i)}
            >
              <span aria-hidden>{NAMES[i]}</span>
            </button>
          ))}
          <div className="projector-help">
            <Text>
              Drag each corner to where the edges of the cushions meet on the table. The arrow keys move the
              chosen one by a dot, with Shift by ten. C brings the corners back.
            </Text>
            <Group gap={8} mt={6}>
              <Switch
                label="Bright cloth: dark lines"
                checked={hanging.isBright}
                onChange={(event) => keep({ ...hanging, isBright: event.currentTarget.checked })}
              />
              <Button
                onClick={() => {
                  keep(hanging);
                  setSetting(false);
                }}
              >
                The corners fit
              </Button>
            </Group>
          </div>
        </>
      )}
    </main>
  );
}
