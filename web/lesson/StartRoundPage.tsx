import { useWords } from '../words/useWords.ts';
import { Button, Select, Stack, Switch, Text, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { useAddress } from '../controls/useAddress.ts';
import { drillAsPlayed } from '../../core/drill/drillAsPlayed.ts';
import { isPositionDrill } from '../../core/drill/positionDrill.ts';
import { atStage, tablesOf } from '../../core/drill/stage.ts';
import type { ListedDrill } from '../../core/records/listedDrill.ts';
import type { OpenRound } from '../../core/records/openRound.ts';
import type { Player } from '../../core/records/player.ts';
import type { ClubTable } from '../../core/records/clubTable.ts';
import { tableFingerprint } from '../../core/table/table.ts';
import { tableOfCard } from '../../core/table/card.ts';
import { drillsQuery } from '../api/drills.ts';
import { planQuery } from '../planner/solved.ts';
import { playerRoundsQuery, playersQuery } from '../api/players.ts';
import { tablesQuery } from '../api/tables.ts';
import { Loading } from '../controls/Loading.tsx';
import { LineKey } from '../table/LineKey.tsx';
import { DrillDrawing } from '../table/DrillDrawing.tsx';
import { stageFrom, tableFrom } from '../controls/useSetting.ts';
import { asPlayed, currentState, tablesFor } from '../table/tableChoice.ts';
import { conditionsInWords } from '../words/conditionWords.ts';
import { CAUTION_WORDS } from '../words/cautionWords.ts';
import { PlayerCards } from './PlayerCards.tsx';
import { DrillPictures } from './DrillPictures.tsx';
import { firstResult, nextRung } from './newRound.ts';
import { openRound } from '../outbox/roundCopy.ts';
import { useViewer } from '../api/viewer.ts';

const LARGEST_SEED = 1_000_000;

/** Where a round begins: who plays what, on which table. */
export function StartRoundPage() {
  const players = useQuery(playersQuery);
  const drills = useQuery(drillsQuery);
  const tables = useQuery(tablesQuery);
  const error = players.error ?? drills.error ?? tables.error;
  if (players.data === undefined || drills.data === undefined || tables.data === undefined) {
    return <Loading what="players and drills" error={error} />;
  }
  return (
    <StartRound
      players={players.data.filter((player) => !player.archived)}
      drills={drills.data.filter((entry) => !entry.archived)}
      tables={tables.data}
    />
  );
}

interface StartRoundProps {
  readonly players: readonly Player[];
  readonly drills: readonly ListedDrill[];
  readonly tables: readonly ClubTable[];
}

function StartRound({ players, drills, tables }: StartRoundProps) {
  const navigate = useNavigate();
  const { params, set } = useAddress();
  const [now] = useState(() => Date.now());
  const [seed] = useState(() => 1 + Math.floor(Math.random() * LARGEST_SEED));
  const choose = (name: string, value: string | null) =>
    set({ [name]: value, ...(name === 'drill' ? { stage: null } : {}) });

  const viewer = useViewer();
  const { say } = useWords();
  const only = players.length === 1 ? players[0] : undefined;
  const player = players.find((each) => each.id === params.get('player')) ?? only;
  const entry = drills.find((each) => each.document.slug === params.get('drill'));
  const stages = entry?.document.stages ?? [];
  const before = useQuery({
    ...playerRoundsQuery(player?.id ?? '', {
      drill: entry?.document.slug ?? '',
      revision: entry?.revision ?? 1,
    }),
    enabled: player !== undefined && entry !== undefined,
  });
  // Where nobody says otherwise it goes on where this player was last.
  const last = before.data?.toSorted((a, b) => b.startedAt.localeCompare(a.startedAt))[0];
  const own = last?.stage;
  // It goes on in the mirror for whoever played it there.
  const mirrored = params.has('mirror') ? params.get('mirror') === '1' : (last?.mirrored ?? false);
  const stage = entry === undefined ? 0 : stageFrom(params, entry.document, own);
  const fitting = entry === undefined ? [] : tablesFor(tables, tablesOf(entry.document));
  const table = tableFrom(params, fitting);
  const state = table === undefined ? undefined : currentState(table, now);
  const built = state && tableOfCard(state.card, state.conditions?.conditions ?? null);

  // The button does not wait for it: only a stroke that is known to fail on this table keeps a round from starting.
  const text =
    entry && (table === undefined ? entry.document : drillAsPlayed(entry.document, { mirrored, table }));
  const staged = text && atStage(text, stage);
  const drill = staged !== undefined && isPositionDrill(staged) ? staged : undefined;
  const plan = useQuery(planQuery(drill, state && asPlayed(state)));
  const [lessonId, block] = [params.get('lesson'), params.get('block')];
  const lesson = lessonId === null || block === null ? null : { id: lessonId, block };

  // From a planned evening a round begins as soon as all is known: one tap there, none here.
  const isAtOnce = params.get('begin') === 'now';
  const isReady = player !== undefined && staged !== undefined && built !== undefined && before.isFetched;

  async function start(): Promise<void> {
    if (player === undefined || entry === undefined || table === undefined) return;
    if (state === undefined || built === undefined || staged === undefined) return;
    const { document, revision } = entry;
    const open: OpenRound = {
      document: drillAsPlayed(document, { mirrored, table }),
      tableState: state,
      round: {
        id: crypto.randomUUID(),
        player: { id: player.id, name: player.name, hand: player.hand },
        table: {
          id: table.id,
          name: table.name,
          preset: table.preset,
          revision: state.revision,
          conditionsId: state.conditions?.id ?? null,
          fingerprint: tableFingerprint(built),
        },
        drill: document.slug,
        ownDrill: entry.own,
        revision,
        stage,
        ladderStart: nextRung(staged, before.data ?? [], stage),
        seed,
        mirrored,
        lesson,
        startedAt: new Date().toISOString(),
        endedAt: null,
        early: null,
        attempts: [],
        result: firstResult(staged, stage),
        advice: null,
      },
      underWay: null,
      conflicts: [],
    };
    await openRound(open, viewer);
    await navigate(`/lesson/rounds/${open.round.id}`, { replace: isAtOnce });
  }

  const begun = useRef(false);
  useEffect(() => {
    if (!isAtOnce || !isReady || begun.current) return;
    begun.current = true;
    void start();
  });

  return (
    <div className="start-round">
      <Stack>
        <Title order={1}>Start a round</Title>
        {players.length === 0 && <Text>There is no player yet: add one in Players first.</Text>}
        <Select
          label="Player"
          size="md"
          searchable
          placeholder="Who is at the table?"
          data={players.map((each) => ({ value: each.id, label: each.name }))}
          value={player?.id ?? null}
          onChange={(value) => choose('player', value)}
        />
        <Select
          label="Drill"
          size="md"
          searchable
          placeholder="What is played?"
          data={drills.map(({ document }) => ({ value: document.slug, label: document.title }))}
          value={entry?.document.slug ?? null}
          onChange={(value) => choose('drill', value)}
        />
        {entry !== undefined && (
          <>
            <Select
              label="Stage"
              size="md"
              allowDeselect={false}
              data={stages.map((each, i) => ({ value: String(i + 1), label: each.title }))}
              value={String(stage)}
              onChange={(value) => choose('stage', value)}
            />
            <Select
              label="Table"
              size="md"
              allowDeselect={false}
              description={
                state === undefined
                  ? undefined
                  : state.conditions === null
                    ? undefined
                    : `Tonight: ${conditionsInWords(state.conditions.conditions)}`
              }
              data={fitting.map((each) => ({ value: each.id, label: each.name }))}
              value={table?.id ?? null}
              onChange={(value) => choose('table', value)}
              error={
                table === undefined ? 'The hall has no table for this drill: add one in Hall.' : undefined
              }
            />
          </>
        )}
        {entry !== undefined && (
          <Switch
            label="Mirrored, for the other hand"
            description={player?.hand === 'left' ? `${player.name} plays left-handed` : undefined}
            checked={mirrored}
            onChange={(event) => set({ mirror: event.currentTarget.checked ? '1' : '0' })}
          />
        )}
        <Button
          size="xl"
          onClick={() => void start()}
          disabled={player === undefined || entry === undefined || table === undefined || plan.isError}
        >
          Start
        </Button>
      </Stack>
      <div>
        {entry === undefined ? (
          <Stack>
            {player === undefined && (
              <PlayerCards players={players} onChoose={(id) => choose('player', id)} />
            )}
            <DrillPictures
              drills={drills}
              playerId={player?.id}
              onChoose={(drill, chosen) =>
                set({ drill, stage: chosen === undefined ? null : String(chosen) })
              }
            />
          </Stack>
        ) : (
          <>
            <Title order={2} size="h3" mb="xs">
              {entry.document.title}
            </Title>
            <DrillDrawing drill={staged ?? entry.document} stage={stage} table={built} plan={plan.data} />
            {drill !== undefined && plan.data !== undefined && (
              <LineKey
                cueBall="cue ball, planned"
                objectBall
                window={`on the ${drill.task.next.ball}: chance of the pot`}
                wanted
              />
            )}
            {plan.isError && <Text mt="xs">Not on this table: {plan.error.message}.</Text>}
            <Text mt="xs">{say(entry.document.purpose)}</Text>
            {entry.document.cautions.map((caution) => (
              <Text key={caution} size="sm" fw={700}>
                {CAUTION_WORDS[caution]}
              </Text>
            ))}
          </>
        )}
      </div>
    </div>
  );
}
