import { Button, Group, Text } from '@mantine/core';
import { NumberEntry } from '../controls/NumberEntry.tsx';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { LEVEL_NAMES } from '../../core/player/levels.ts';
import type { BenchmarkReply } from '../../core/records/benchmarkReply.ts';
import { call } from '../api/client.ts';
import { benchmarkPath, benchmarkReplyQuery, type BenchmarkSubject } from '../api/benchmarks.ts';
import { useViewer } from '../api/viewer.ts';

interface FixedBandsPartProps {
  readonly fixed: BenchmarkReply['fixed'];
  readonly subject: BenchmarkSubject;
}

/** The coach's own marks for the levels, beside the computed ones. */
export function FixedBandsPart({ fixed, subject }: FixedBandsPartProps) {
  const viewer = useViewer();
  const [open, setOpen] = useState(false);
  const set = LEVEL_NAMES.flatMap((level, i) => {
    const from = fixed?.[i] ?? null;
    return from === null ? [] : [`${level} from ${from}`];
  });
  return (
    <div style={{ marginTop: 8 }}>
      {set.length > 0 && (
        <Text size="sm" data-testid="fixed-bands">
          <b>By the coach’s marks</b>: {set.join(', ')}.
        </Text>
      )}
      {viewer.role === 'coach' && !open && (
        <Button
          size="compact-sm"
          variant="subtle"
          color="ink"
          px={0}
          className="no-print"
          onClick={() => setOpen(true)}
        >
          {set.length === 0 ? 'Set marks of your own' : 'Change your marks'}
        </Button>
      )}
      {open && <BandsForm fixed={fixed} subject={subject} onDone={() => setOpen(false)} />}
    </div>
  );
}

function BandsForm({ fixed, subject, onDone }: FixedBandsPartProps & { readonly onDone: () => void }) {
  const queries = useQueryClient();
  const [from, setFrom] = useState<readonly (number | null)[]>(() =>
    LEVEL_NAMES.map((_, i) => fixed?.[i] ?? null),
  );
  const save = useMutation({
    mutationFn: () => call('PUT', benchmarkPath(subject, '/bands'), { from }),
    onSuccess: async () => {
      await queries.invalidateQueries({
        queryKey: benchmarkReplyQuery(subject).queryKey,
      });
      onDone();
    },
  });
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
    >
      <Text size="sm" mt={4}>
        The result from which you count each level; leave out what you do not want.
      </Text>
      {LEVEL_NAMES.map((level, i) => (
        <Group key={level} justify="space-between" mt={4}>
          <label htmlFor={`band-${i}`}>{level}</label>
          <NumberEntry
            id={`band-${i}`}
            w={110}
            digits={2}
            live
            value={from[i] ?? null}
            onEnter={(value) => setFrom(from.map((each, k) => (k === i ? value : each)))}
            onClear={() => setFrom(from.map((each, k) => (k === i ? null : each)))}
          />
        </Group>
      ))}
      {save.isError && (
        <Text size="sm" c="red" role="alert">
          Not saved, your marks still stand here: {save.error.message}
        </Text>
      )}
      <Group mt="xs">
        <Button type="submit" size="xs" loading={save.isPending}>
          Keep the marks
        </Button>
        <Button size="xs" variant="default" onClick={onDone}>
          Leave them
        </Button>
      </Group>
    </form>
  );
}
