import { Alert, Button, Group, Stack, Text, TextInput } from '@mantine/core';
import { useMutation } from '@tanstack/react-query';
import { useEffect, useState, type SyntheticEvent } from 'react';
import { useKept } from '../../../controls/useKept.ts';
import { placed } from './placed.ts';
import type { PlaceReaderProps } from '../placeSource.ts';
import { doubtWords, readingWords } from './cameraWords.ts';
import { pair, PAIRING_KEY, readPairing, USUAL_ADDRESS, type Pairing } from './pairing.ts';
import { useCamera } from './useCamera.ts';

/** Balls as a camera over the table sees them: paired by its code, then read while they lie still. */
export function CameraReader({ table, onBalls }: PlaceReaderProps) {
  const [pairing, keep] = useKept(PAIRING_KEY, readPairing);
  const { state } = useCamera(pairing, table, undefined);
  const reading = state?.reading;
  const lying = reading?.state === 'still' ? reading.balls : undefined;
  useEffect(() => {
    if (lying !== undefined) onBalls(placed(table, lying));
  }, [lying, table, onBalls]);
  if (pairing === undefined) return <PairForm table={table} onPaired={keep} />;
  return (
    <Stack gap="xs">
      <Group gap={8}>
        <Text size="sm" data-testid="camera-state" role="status">
          {state?.trouble ?? readingWords(reading?.state ?? 'waiting')}
        </Text>
        <Button size="xs" variant="default" onClick={() => keep(undefined)}>
          Part from the camera
        </Button>
      </Group>
      {reading?.doubts.map((doubt, i) => (
        <Text key={i} size="sm">
          {doubtWords(doubt)}
        </Text>
      ))}
      {(state?.refused ?? 0) > 0 && (
        <Text size="sm" c="dimmed" data-testid="camera-refused">
          {String(state?.refused)} lines from the camera were no frames and were left out.
        </Text>
      )}
    </Stack>
  );
}

function PairForm({
  table,
  onPaired,
}: Pick<PlaceReaderProps, 'table'> & { readonly onPaired: (pairing: Pairing) => void }) {
  const [address, setAddress] = useState(USUAL_ADDRESS);
  const [code, setCode] = useState('');
  const pairing = useMutation({
    networkMode: 'always',
    mutationFn: () => pair(address.trim(), code, table),
    onSuccess: onPaired,
  });
  const send = (event: SyntheticEvent) => {
    event.preventDefault();
    pairing.mutate();
  };
  return (
    <form onSubmit={send}>
      <Stack gap="xs">
        <Text size="sm">
          A camera is a program on this device. It shows a code of six digits; with it, this device may see
          where the balls lie, and nothing else. No picture comes here. Tell who plays that a camera looks on.
        </Text>
        <TextInput label="Address" value={address} onChange={(event) => setAddress(event.target.value)} />
        <TextInput
          label="Code that the camera shows"
          inputMode="numeric"
          autoComplete="off"
          maxLength={6}
          w={240}
          value={code}
          onChange={(event) => setCode(event.target.value.replace(/\D/g, ''))}
        />
        {pairing.error !== null && (
          <Alert color="coral" variant="outline" p="xs" role="alert">
            {pairing.error.message}
          </Alert>
        )}
        <Group>
          <Button type="submit" loading={pairing.isPending} disabled={code.length < 6}>
            Pair with the camera
          </Button>
        </Group>
      </Stack>
    </form>
  );
}
