import { Button, FileButton, Group, Modal, Stack, Text, Title } from '@mantine/core';
import { NumberEntry } from '../../controls/NumberEntry.tsx';
import { useQuery } from '@tanstack/react-query';
import { saveAs } from 'file-saver';
import { useState } from 'react';
import { atStage } from '../../../core/drill/stage.ts';
import { planFileText, readPlanText } from '../../../core/formats/planFileSchema.ts';
import { createRandom } from '../../../core/random/random.ts';
import type { RackKind } from '../../../core/rack/rack.ts';
import type { LevelName } from '../../../core/player/levels.ts';
import type { Drill, Order } from '../../../core/records/drill.ts';
import { drillsQuery } from '../../api/drills.ts';
import { useViewer } from '../../api/viewer.ts';
import { isPlanKept } from '../../planner/order/isKept.ts';
import { CUE, shotWith } from '../../table/labShot.ts';
import type { LabPosition } from '../labState.ts';
import { DrillChoice } from './DrillChoice.tsx';
import { brokenOn, laidDrill, racksOf, thrownOn } from './layTable.ts';
import { orderNameOf, type OrderName } from './orderSetting.ts';

/** A table that was set, and how it is to be cleared. */
export interface TableSet {
  readonly position: LabPosition;
  readonly order: OrderName;
  /** The drill whose rules hold. */
  readonly drill?: { readonly slug: string; readonly stage: number };
}

interface SetTableProps {
  readonly position: LabPosition;
  readonly order: Order;
  readonly level: LevelName;
  readonly onSet: (set: TableSet) => void;
}

const FEWEST = 1;
const MOST = 15;

const RACK_WORDS: Readonly<Record<RackKind, string>> = {
  nine: 'Break nine balls',
  eight: 'Break fifteen balls',
  'eight on the spot': 'Break fifteen balls',
  reds: 'Break the reds',
};

/** A new seed each time: nobody wants the same throw twice. */
const newSeed = () => 1 + Math.floor(createRandom(Date.now()).uniform() * 2 ** 30);

/** Balls thrown, broken, or taken over from a drill or a file; and the table as a file. */
export function SetTable({ position, order, level, onSet }: SetTableProps) {
  const [isOpen, setOpen] = useState(false);
  const [count, setCount] = useState<number | null>(7);
  const [refused, setRefused] = useState<string>();
  const drills = useQuery({ ...drillsQuery, enabled: isOpen });
  const viewer = useViewer();
  const { shot, chosen } = position;
  const set = (make: () => TableSet) => {
    try {
      onSet(make());
      setRefused(undefined);
      setOpen(false);
    } catch (error) {
      setRefused(error instanceof Error ? error.message : 'this table cannot be set');
    }
  };
  const take = async (file: File | null) => {
    if (file === null) return;
    const text = await file.text();
    set(() => {
      const { table, balls, cue, order: wanted } = readPlanText(text);
      const laid = shotWith(table, cue === undefined ? balls : [cue, ...balls]);
      return { position: { shot: laid, chosen: undefined }, order: orderNameOf(wanted) };
    });
  };
  const save = () => {
    const balls = shot.balls.filter(({ id }) => id !== CUE);
    const cue = shot.balls.find(({ id }) => id === CUE);
    const text = planFileText({ balls, cue, order }, chosen?.card ?? shot.table.preset.id, level);
    saveAs(new Blob([text], { type: 'application/json' }), 'table.plan.json');
  };
  const offered = (drills.data ?? []).flatMap(({ document, archived }) =>
    !archived && document.task.kind === 'clear' && !isPlanKept(viewer, document) ? [document] : [],
  );
  return (
    <>
      <Button size="xs" variant="default" onClick={() => setOpen(true)}>
        Set the table
      </Button>
      <Modal
        opened={isOpen}
        onClose={() => setOpen(false)}
        title="Set the table"
        closeButtonProps={{ 'aria-label': 'Close' }}
      >
        <Stack gap="md">
          {refused !== undefined && (
            <Text role="alert" c="var(--jr-coral-text)">
              Nothing was set: {refused}.
            </Text>
          )}
          <Group align="end" gap="xs">
            <NumberEntry
              whole
              live
              label="Balls"
              w={90}
              min={FEWEST}
              max={MOST}
              value={count}
              onEnter={setCount}
              onClear={() => setCount(null)}
            />
            <Button
              variant="default"
              disabled={count === null}
              onClick={() =>
                set(() => ({
                  position: { ...position, shot: thrownOn(shot.table, Number(count), newSeed()) },
                  order: 'any',
                }))
              }
            >
              Throw them
            </Button>
          </Group>
          {racksOf(shot.table).length > 0 && (
            <div>
              <Title order={3} size="h6" mb={4}>
                After a break by a match player
              </Title>
              <Group gap="xs">
                {racksOf(shot.table).map(({ kind, order: after }) => (
                  <Button
                    key={kind}
                    variant="default"
                    onClick={() =>
                      set(() => ({
                        position: { ...position, shot: brokenOn(shot.table, kind, newSeed()) },
                        order: after,
                      }))
                    }
                  >
                    {RACK_WORDS[kind]}
                  </Button>
                ))}
              </Group>
            </div>
          )}
          <DrillChoice
            drills={offered}
            onChoose={(drill: Drill, stage) =>
              set(() => {
                const { task } = atStage(drill, stage);
                if (task.kind !== 'clear') throw new RangeError('this drill asks for no clearance');
                return {
                  position: laidDrill(position, drill, stage, newSeed()),
                  order: 'drill',
                  drill: { slug: drill.slug, stage },
                };
              })
            }
          />
          <div>
            <Title order={3} size="h6" mb={4}>
              A file
            </Title>
            <Group gap="xs">
              <FileButton onChange={(file) => void take(file)} accept="application/json,.json">
                {(props) => (
                  <Button variant="default" {...props}>
                    Read a file
                  </Button>
                )}
              </FileButton>
              <Button variant="default" onClick={save}>
                Save this table
              </Button>
            </Group>
          </div>
        </Stack>
      </Modal>
    </>
  );
}
