import { Button, Group, Modal, Stack, Text } from '@mantine/core';
import { useState } from 'react';
import type { BallOnTable } from '../../../core/motion/shot.ts';
import { useViewer } from '../../api/viewer.ts';
import { LyingBalls } from '../../table/LyingBalls.tsx';
import { TableDrawing } from '../../table/TableDrawing.tsx';
import type { LivePlacesProps, PlaceSource } from './placeSource.ts';
import { PLACE_SOURCES } from './placeSources.ts';

/** Places from something else than a tap on the drawn table: each way has its button, and what it reads is taken by one tap. */
export function BringIn(props: LivePlacesProps) {
  const { table, take, missing, onTake } = props;
  const { rules } = useViewer();
  const allowed = PLACE_SOURCES.filter(({ rule }) => rules[rule]);
  const [source, setSource] = useState<PlaceSource>();
  const [balls, setBalls] = useState<readonly BallOnTable[]>([]);
  const close = () => {
    setSource(undefined);
    setBalls([]);
  };
  const lacks = missing(balls);
  return (
    <>
      <Group gap={8} grow wrap="nowrap">
        {allowed.map((each) => (
          <Button key={each.key} variant="default" h={44} px={6} onClick={() => setSource(each)}>
            {each.label}
          </Button>
        ))}
      </Group>
      {source === undefined && allowed.map(({ key, Live }) => Live && <Live key={key} {...props} />)}
      <Modal opened={source !== undefined} onClose={close} title={source?.label} size="xl">
        {source !== undefined && (
          <Stack gap="xs">
            <source.Reader table={table} onBalls={setBalls} />
            {balls.length > 0 && (
              <>
                <TableDrawing table={table} label="The balls as they were read">
                  <LyingBalls balls={balls} positions={undefined} selected="" />
                </TableDrawing>
                <Group gap={8}>
                  <Button
                    disabled={lacks !== undefined}
                    onClick={() => {
                      onTake(balls);
                      close();
                    }}
                  >
                    {take}
                  </Button>
                  {lacks !== undefined && (
                    <Text size="sm" c="dimmed">
                      {lacks}
                    </Text>
                  )}
                </Group>
              </>
            )}
          </Stack>
        )}
      </Modal>
    </>
  );
}
