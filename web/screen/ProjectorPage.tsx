import { Button, Group, Switch, Text } from '@mantine/core';
import { useDrag } from '@use-gesture/react';
import { useState, type KeyboardEvent } from 'react';
import { useParams } from 'react-router';
import { array, boolean, number, object, tuple } from 'yup';
import { setOrder } from '../../core/drill/setOrder.ts';
import { atStage } from '../../core/drill/stage.ts';
import { homographyOf, type Homography } from '../../core/math/homography.ts';
import type { Point } from '../../core/math/point.ts';
import type { ScreenPicture } from '../../core/records/screen.ts';
import { tableOfCard } from '../../core/table/card.ts';
import type { Table } from '../../core/table/table.ts';
import { useKept } from '../controls/useKept.ts';
import { useKeys } from '../controls/useKeys.ts';
import { projectionOf } from '../table/projection.ts';
import { useScreen } from './useScreen.ts';

type Pair = [number, number];

/** How a projector hangs: where it has to throw the four corners, in shares of its picture, and for which cloth. */
interface Hanging {
  readonly corners: readonly Pair[];
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
  const move = (i: number, to: Pair) =>
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
  const thrown = hanging.corners.map(([x, y]): Pair => [x * size.width, y * size.height]);
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

/** Lines only, thrown so that the drawn table's corners fall on those of the real one. */
function Thrown({
  picture,
  corners,
  isSetting,
}: {
  readonly picture: ScreenPicture;
  readonly corners: readonly Pair[];
  readonly isSetting: boolean;
}) {
  const { card, conditions, block, shown, landings } = picture;
  const table = tableOfCard(card, conditions?.conditions ?? null);
  const projection = projectionOf(table, 'landscape');
  const map = mapOf(table, corners);
  if (map === undefined) return null;
  const drill = block === null ? undefined : atStage(block.drill, block.stage);
  const order = drill === undefined ? [] : setOrder(drill, table.preset);
  const ring = (at: Point, radius: number, key: string, className: string) => {
    const [cx, cy] = projection.toDrawing(at);
    return <circle key={key} cx={cx} cy={cy} r={1000 * radius} className={className} />;
  };
  const outline = [
    { x: 0, y: 0 },
    { x: 0, y: table.width },
    { x: table.length, y: table.width },
    { x: table.length, y: 0 },
  ].map((at) => projection.toDrawing(at).join(','));
  return (
    <svg
      className="projector-lines"
      role="img"
      aria-label="What is thrown on the table"
      width={projection.width}
      height={projection.height}
      style={{ transform: cssOf(map) }}
    >
      {isSetting && <polygon points={outline.join(' ')} />}
      {isSetting
        ? null
        : shown.view === 'set up'
          ? order.map((ball, i) =>
              i > shown.set
                ? null
                : ring(ball, ball.radius, ball.id, i === shown.set ? 'blinking projector-next' : ''),
            )
          : order.map((ball) => ring(ball, ball.radius, ball.id, ''))}
      {!isSetting &&
        shown.view === 'landings' &&
        landings.map((at, i) => ring(at, table.preset.cueBallRadius / 2, `landing ${String(i)}`, ''))}
    </svg>
  );
}

/** The map from the drawing to the projector's picture; undefined for corners that are no table. */
function mapOf(table: Table, corners: readonly Pair[]): Homography | undefined {
  const projection = projectionOf(table, 'landscape');
  const { length, width } = table;
  const from = [
    { x: 0, y: 0 },
    { x: 0, y: width },
    { x: length, y: width },
    { x: length, y: 0 },
  ].map((at) => projection.toDrawing(at));
  try {
    return homographyOf(from, corners);
  } catch (error) {
    if (error instanceof RangeError) return undefined;
    throw error;
  }
}

/** A map of the plane as a browser takes it: columns of a matrix of space. */
const cssOf = ([a, b, c, d, e, f, g, h, i]: Homography) =>
  `matrix3d(${[a, d, 0, g, b, e, 0, h, 0, 0, 1, 0, c, f, 0, i].map((value) => value.toPrecision(12)).join(',')})`;
