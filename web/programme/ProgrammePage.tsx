import { DayField } from '../controls/DayField.tsx';
import { Anchor, Button, Group, Stack, Text, TextInput, Title } from '@mantine/core';
import { NumberEntry } from '../controls/NumberEntry.tsx';
import { useQuery } from '@tanstack/react-query';
import { dayOf, todayInClub } from '../words/clubTime.ts';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { countDone, donePlanned } from '../../core/programme/donePlanned.ts';
import { mondayOf } from '../../core/programme/days.ts';
import { MOST_WEEKS } from '../../core/records/programme.ts';
import { drillsQuery } from '../api/drills.ts';
import { Loading } from '../controls/Loading.tsx';
import { SavingNotice } from '../controls/SavingNotice.tsx';
import { UndoRedo } from '../controls/UndoRedo.tsx';
import { useViewer } from '../api/viewer.ts';
import { BlockForm } from './BlockForm.tsx';
import { ComingWeeks } from './ComingWeeks.tsx';
import { CopyPart } from './CopyPart.tsx';
import { ItemPanel } from './ItemPanel.tsx';
import { MatchDays } from './MatchDays.tsx';
import { TrainedSkill } from './TrainedSkill.tsx';
import { useProgramme } from './useProgramme.ts';
import { WeekGrid } from './WeekGrid.tsx';

/** Weeks of practice: planned by the coach, ticked off or scored by the student. */
export function ProgrammePage() {
  const { id = '' } = useParams();
  const programme = useProgramme(id);
  const drills = useQuery(drillsQuery);
  const viewer = useViewer();
  const [chosen, setChosen] = useState<string>();
  const { query, history } = programme;
  if (query.data === undefined || history === undefined || drills.data === undefined) {
    return <Loading what="the programme" error={query.error ?? drills.error} />;
  }
  const document = history.present;
  const { player, ticks } = query.data.programme;
  const drillOf = (slug: string) => drills.data.find((entry) => entry.document.slug === slug)?.document;
  const titleOf = (slug: string) => drillOf(slug)?.title ?? slug;
  const editable = viewer.role === 'coach';
  const calendar = `/api/programmes/${id}/calendar.ics`;
  const today = todayInClub();
  const states = donePlanned(
    document.items,
    new Set(ticks.map(({ item }) => item)),
    query.data.rounds.map((round) => ({
      id: round.id,
      drill: round.drill,
      day: dayOf(round.startedAt),
    })),
    today,
  );
  const { planned, done, plannedMinutes, doneMinutes } = countDone(document.items, states);
  return (
    <div className="programme">
      <Stack gap="sm">
        <Group justify="space-between" align="end">
          <div>
            <Anchor component={Link} to={`/players/${player.id}`}>
              {player.name}
            </Anchor>
            <Title order={1}>{document.title}</Title>
            <Text data-testid="done-planned">
              {done} of {planned} done, {doneMinutes} of {plannedMinutes} minutes.
            </Text>
          </div>
          <Group gap="xs" className="no-print">
            {editable && (
              <UndoRedo
                past={history.past}
                future={history.future}
                onUndo={programme.undo}
                onRedo={programme.redo}
                size="sm"
              />
            )}
            <Button
              component="a"
              href={calendar}
              download
              variant="default"
              onClick={(event) => {
                if (programme.saving === 'saved') return;
                event.preventDefault();
                void programme.flush().then(
                  () => window.location.assign(calendar),
                  // The line below says why it could not be stored.
                  () => undefined,
                );
              }}
            >
              Calendar file
            </Button>
            <Button variant="default" onClick={() => window.print()}>
              Print
            </Button>
          </Group>
        </Group>
        <TrainedSkill document={document} drills={drills.data} />
        {editable && (
          <SavingNotice
            saving={programme.saving}
            refusal={programme.refusal}
            onSettle={(keep) => void programme.settle(keep)}
            onAgain={programme.again}
          />
        )}
        <WeekGrid
          document={document}
          states={states}
          today={today}
          titleOf={titleOf}
          chosen={chosen}
          editable={editable}
          onChoose={setChosen}
          onMove={(moved, day) =>
            programme.change({
              ...document,
              items: document.items.map((each) => (each.id === moved ? { ...each, day } : each)),
            })
          }
          panel={(item) => (
            <ItemPanel
              item={item}
              state={states.get(item.id)}
              drill={drillOf(item.drill)}
              playerId={player.id}
              editable={editable}
              onTick={(ticked) => programme.tick(item.id, ticked)}
              onChange={(next) =>
                programme.change({
                  ...document,
                  items: document.items.map((each) => (each.id === next.id ? next : each)),
                })
              }
              onRemove={() => {
                setChosen(undefined);
                programme.change({
                  ...document,
                  items: document.items.filter(({ id: each }) => each !== item.id),
                });
              }}
            />
          )}
        />
      </Stack>
      <Stack gap="sm" className="no-print">
        <ComingWeeks id={id} document={document} titleOf={titleOf} flush={programme.flush} />
        {editable ? (
          <>
            <BlockForm
              document={document}
              drills={drills.data}
              onAdd={(items) => programme.change({ ...document, items: [...document.items, ...items] })}
            />
            <MatchDays document={document} onChange={programme.change} />
            <section className="card" aria-label="The programme">
              <TextInput
                label="Title"
                maxLength={80}
                defaultValue={document.title}
                key={document.title}
                onBlur={(event) => {
                  const title = event.currentTarget.value.trim();
                  if (title !== '' && title !== document.title) programme.change({ ...document, title });
                }}
              />
              <Group grow mt={6}>
                <DayField
                  label="Begins in the week of"
                  value={document.startDay}
                  onChange={(day) => {
                    programme.change({ ...document, startDay: mondayOf(day) });
                  }}
                />
                <NumberEntry
                  whole
                  label="Weeks"
                  min={1}
                  max={MOST_WEEKS}
                  value={document.weeks}
                  onEnter={(weeks) => programme.change({ ...document, weeks })}
                />
              </Group>
            </section>
            <CopyPart id={id} playerId={player.id} flush={programme.flush} />
          </>
        ) : (
          <Text className="card">Open an entry to tick it off, or to score a round of its drill.</Text>
        )}
      </Stack>
    </div>
  );
}
