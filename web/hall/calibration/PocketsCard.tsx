import { Alert, Button, Group, SegmentedControl, Stack, Text, Title } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import {
  estimateMouth,
  MOUTH_OF,
  nextTry,
  POCKET_KINDS,
  pocketShot,
  RUN_UP,
  type PocketKind,
  type PocketModel,
  type PocketTry,
} from '../../../core/calibration/pockets.ts';
import { placeFrom } from '../../../core/motion/marks.ts';
import type { LevelName } from '../../../core/player/levels.ts';
import type { ClubTable } from '../../../core/records/clubTable.ts';
import type { Table } from '../../../core/table/table.ts';
import { call } from '../../api/client.ts';
import { tablesQuery } from '../../api/tables.ts';
import { useViewer } from '../../api/viewer.ts';
import { useKept } from '../../controls/useKept.ts';
import { AimMark } from '../../table/marks.tsx';
import { LyingBalls } from '../../table/LyingBalls.tsx';
import { TableDrawing } from '../../table/TableDrawing.tsx';
import { todayInClub } from '../../words/clubTime.ts';
import { tapeLength } from '../../words/lengths.ts';
import { pocketModels } from '../../workers/calibration.ts';
import type { TableAsPlayed } from '../../workers/protocol.ts';
import { valueInWords, valueWords } from '../cardWords.ts';
import { NO_TRIES, readTries, withTries } from './pocketTries.ts';

/** So many balls before a mouth goes into the card. */
const ENOUGH = 6;

interface PocketsCardProps {
  readonly table: ClubTable;
  readonly on: TableAsPlayed;
  readonly built: Table;
  readonly level: LevelName;
}

/** How wide the pockets are, by balls that are rolled at their edge and fall or stay. */
export function PocketsCard(props: PocketsCardProps) {
  const { on, level } = props;
  const [isOpen, setOpen] = useState(false);
  const [isTaken, setTaken] = useState(false);
  const models = useQuery({
    queryKey: ['pocket models', on, level],
    queryFn: () => pocketModels(on, level),
    enabled: isOpen,
    networkMode: 'always',
    staleTime: Infinity,
    gcTime: 0,
    retry: false,
  });
  return (
    <section className="card" aria-labelledby="pockets-title">
      <Group justify="space-between">
        <Title order={2} size="h4" id="pockets-title">
          How wide the pockets are
        </Title>
        {!isOpen && (
          <Button variant="default" onClick={() => setOpen(true)}>
            Try the pockets
          </Button>
        )}
      </Group>
      {!isOpen && (
        <Text size="sm" c="dimmed">
          A dozen balls rolled slowly at the edge of a pocket: each falls or stays, and that tells its mouth.
        </Text>
      )}
      {models.error !== null && (
        <Alert color="coral" variant="outline" p="xs" role="alert">
          {models.error.message}
        </Alert>
      )}
      {isOpen && models.isPending && <Text size="sm">What balls do at this table is being played …</Text>}
      {models.data !== undefined && (
        <PocketTries
          {...props}
          models={models.data}
          onTaken={() => setTaken(true)}
          onTry={() => setTaken(false)}
        />
      )}
      {isTaken && <Text role="status">It is in the card.</Text>}
    </section>
  );
}

function PocketTries({
  table,
  built,
  models,
  onTaken,
  onTry,
}: PocketsCardProps & {
  readonly models: readonly PocketModel[];
  readonly onTaken: () => void;
  readonly onTry: () => void;
}) {
  const viewer = useViewer();
  const queries = useQueryClient();
  const [kind, setKind] = useState<PocketKind>('corner');
  const [kept, keep] = useKept(`jolly-pockets:${viewer.id}:${table.id}`, readTries);
  const all = kept ?? NO_TRIES;
  const tries = all[kind];
  const model = models.find((each) => each.kind === kind);
  const taking = useMutation({
    mutationFn: async (value: number) => {
      const { id, name, archived, state } = table;
      const measured = {
        name: MOUTH_OF[kind],
        value: Number(value.toFixed(4)),
        source: `calibrated ${todayInClub()}, ${String(tries.length)} balls`,
      };
      const others = state.card.measured.filter((each) => each.name !== measured.name);
      await call('PUT', `/tables/${id}`, {
        name,
        archived,
        card: { ...state.card, measured: [...others, measured] },
        basedOn: state.revision,
      });
    },
    onSuccess: async () => {
      keep(withTries(all, kind, []));
      onTaken();
      await queries.invalidateQueries({ queryKey: tablesQuery.queryKey });
    },
  });
  if (model === undefined) return null;
  const beside = nextTry(model, tries);
  const { balls, strike } = pocketShot(built, kind, beside);
  const [ball] = balls;
  const told = estimateMouth(model, tries);
  const inWords = (metres: number) => valueInWords(MOUTH_OF[kind], metres);
  const put = (next: readonly PocketTry[]) => {
    onTry();
    keep(withTries(all, kind, next));
  };
  const own = estimateMouth(model, []).mouth;
  return (
    <div className="table-page">
      <TableDrawing table={built} label="The ball to be rolled">
        {ball !== undefined && <AimMark from={ball} to={placeFrom(ball, strike.direction, RUN_UP)} />}
        <LyingBalls balls={balls} positions={undefined} selected="" />
      </TableDrawing>
      <Stack gap="xs">
        <SegmentedControl
          aria-label="Which pockets"
          data={POCKET_KINDS.map((each) => ({
            value: each,
            label: each === 'corner' ? 'Corners' : 'Middles',
          }))}
          value={kind}
          onChange={(value) => setKind(POCKET_KINDS.find((each) => each === value) ?? 'corner')}
        />
        <Text data-testid="pocket-try">
          {kind === 'corner'
            ? `Set the ball ${tapeLength(RUN_UP)} from the foot cushion, its middle ${tapeLength(beside)} from the right-hand one. Roll it slowly along that, into the corner.`
            : `Set the ball ${tapeLength(RUN_UP)} from the right-hand cushion, its middle ${tapeLength(beside)} beside the middle pocket’s. Roll it slowly straight at the cushion.`}{' '}
          It should have way for half a metre more.
        </Text>
        <Group gap={8}>
          <Button h={48} onClick={() => put([...tries, { beside, hasFallen: true }])}>
            It fell
          </Button>
          <Button h={48} onClick={() => put([...tries, { beside, hasFallen: false }])}>
            It stayed
          </Button>
          <Button
            h={48}
            variant="default"
            disabled={tries.length === 0}
            onClick={() => put(tries.slice(0, -1))}
          >
            Take the last back
          </Button>
        </Group>
        <Text data-testid="pocket-told">
          {tries.length === 1 ? '1 ball' : `${String(tries.length)} balls`}.{' '}
          {valueWords(MOUTH_OF[kind]).title}: <b>{inWords(told.mouth)}</b>, nine times in ten{' '}
          {inWords(told.low)} to {inWords(told.high)}; the card says {inWords(own)}.
        </Text>
        <Group gap={8}>
          <Button
            variant={tries.length < ENOUGH ? 'default' : 'filled'}
            disabled={tries.length < ENOUGH}
            loading={taking.isPending}
            onClick={() => taking.mutate(told.mouth)}
          >
            Take into the card
          </Button>
          {tries.length < ENOUGH && (
            <Text size="sm" c="dimmed">
              From {ENOUGH} balls on.
            </Text>
          )}
        </Group>
        {taking.error !== null && (
          <Alert color="coral" variant="outline" p="xs" role="alert">
            The card was not changed: {taking.error.message}.
          </Alert>
        )}
      </Stack>
    </div>
  );
}
