import { Button, Progress, Text } from '@mantine/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import type { BenchmarkReply } from '../../core/records/benchmarkReply.ts';
import { call, type Method } from '../api/client.ts';
import { benchmarkPath, benchmarkReplyQuery, type BenchmarkSubject } from '../api/benchmarks.ts';
import { useViewer } from '../api/viewer.ts';

interface BenchmarkJobPartProps {
  readonly reply: BenchmarkReply;
  readonly subject: BenchmarkSubject;
}

/** A benchmark that is not there yet: asking for it, how far it is, stopping it. */
export function BenchmarkJobPart({ reply, subject }: BenchmarkJobPartProps) {
  const viewer = useViewer();
  const queries = useQueryClient();
  const change = useMutation({
    mutationFn: (method: Method) => call(method, benchmarkPath(subject, '/benchmark/job')),
    onSettled: () => queries.invalidateQueries({ queryKey: benchmarkReplyQuery(subject).queryKey }),
  });
  const { job, playable } = reply;
  if (!playable) {
    return (
      <Text size="sm" c="dimmed">
        Virtual players do not answer questions: a round of calls is measured by the calls alone.
      </Text>
    );
  }
  const active = job?.state === 'queued' || job?.state === 'running';
  return (
    <>
      <Text size="sm" data-testid="benchmark-job">
        {jobWords(reply)}
      </Text>
      {active && (
        <Progress value={(100 * job.done) / job.parts} aria-label="Benchmark computed" mt={6} animated />
      )}
      {viewer.role === 'coach' && (
        <Button
          mt="xs"
          size="xs"
          variant="default"
          loading={change.isPending}
          onClick={() => change.mutate(active ? 'DELETE' : 'POST')}
        >
          {active ? 'Stop computing' : job === null ? 'Let virtual players play it' : 'Go on computing'}
        </Button>
      )}
      {change.isError && (
        <Text size="sm" c="red" role="alert">
          {change.error.message}
        </Text>
      )}
    </>
  );
}

function jobWords({ job }: BenchmarkReply): string {
  if (job === null || job.state === 'done') {
    return 'Nobody knows yet what the levels score here. The server can let virtual players play two hundred rounds a level; you can go on meanwhile.';
  }
  const far = `${job.done} of ${job.parts} parts played`;
  if (job.state === 'cancelled') return `Stopped, ${far}; they are kept.`;
  if (job.state === 'failed') return `It failed, ${far}: ${job.error ?? 'no reason was given'}.`;
  return job.state === 'queued' ? `Waits for its turn, ${far}.` : `Virtual players are at the table, ${far}.`;
}
