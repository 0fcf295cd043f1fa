import { Button, Group, Stack, Text, Title } from '@mantine/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import type { Turn } from '../../../core/evening/ask.ts';
import { lessonsOfEvening } from '../../../core/evening/lessons.ts';
import { call } from '../../api/client.ts';
import { wantsQuery } from '../../api/evenings.ts';
import { lessonsQuery } from '../../api/lessons.ts';
import { Loading } from '../../controls/Loading.tsx';
import { useAddress } from '../../controls/useAddress.ts';
import { askOf, eveningAsked } from './eveningAsked.ts';
import { EveningEditor } from './EveningEditor.tsx';
import { EveningForm } from './EveningForm.tsx';
import { WhoComes } from './WhoComes.tsx';
import { useViewer } from '../../api/viewer.ts';
import { useEveningCast } from './useEveningNames.ts';
import { TurnPanel } from './TurnPanel.tsx';
import { useTimetable } from './useTimetable.ts';
import { useTurns } from './useTurns.ts';

/** Plans an evening: who comes, which tables, how long; a timetable that can be changed and kept. */
export function PlanEveningPage() {
  const { cast, error } = useEveningCast();
  const { params, set } = useAddress();
  const queries = useQueryClient();
  const navigate = useNavigate();
  const ids = (all: readonly { readonly id: string }[] | undefined) => (all ?? []).map(({ id }) => id);
  const { rules } = useViewer();
  const asked = eveningAsked(
    params,
    { students: ids(cast?.players), tables: ids(cast?.tables), coaches: ids(cast?.coaches) },
    rules,
  );
  const wants = useQuery(wantsQuery(asked.students));
  const isAsked = asked.students.length > 0 && asked.tables.length > 0;
  const ask =
    cast === undefined || wants.data === undefined || !isAsked
      ? undefined
      : askOf(asked, wants.data, cast.tables);
  const plan = useTimetable(ask);
  const edited = useTurns(plan.data?.turns);
  const keeping = useMutation({
    mutationFn: async (turns: readonly Turn[]) => {
      const id = crypto.randomUUID();
      const { begins, minutes, coaches, turn, restAfter, most, day } = asked;
      const lessons = lessonsOfEvening(
        {
          evening: { id, begins, minutes, coachIds: [...coaches], turn, restAfter, most },
          day,
          titleOf: (table) => `Evening at ${cast?.names.table(table) ?? 'a table'}`.slice(0, 80),
          newId: () => crypto.randomUUID(),
        },
        turns,
        [],
      );
      await call('PUT', `/evenings/${id}`, { lessons });
      return id;
    },
    onSuccess: async (id) => {
      await queries.invalidateQueries({ queryKey: lessonsQuery.queryKey });
      await navigate(`/lesson/evening/${id}`);
    },
  });
  if (cast === undefined) return <Loading what="who could come" error={error} />;
  return (
    <Stack gap="sm">
      <Group justify="space-between" align="end">
        <div>
          <Title order={1}>Plan the evening</Title>
          <Text c="dimmed">
            Everybody gets what they gain most by, with a warm-up, variety and rest, and no table twice at
            once.
          </Text>
        </div>
        {plan.data !== undefined && (
          <Button variant="default" className="no-print" onClick={() => window.print()}>
            Print
          </Button>
        )}
      </Group>
      {keeping.isError && (
        <Text role="alert" c="var(--jr-coral-text)">
          Not stored: {keeping.error.message}. The plan is still here.
        </Text>
      )}
      <div className="evening">
        {ask === undefined || plan.data === undefined ? (
          <WhoComes
            asked={asked}
            players={cast.players}
            tables={cast.tables}
            set={set}
            waiting={isAsked ? { error: wants.error ?? plan.error } : undefined}
          />
        ) : (
          <EveningEditor
            ask={ask}
            edited={edited}
            begins={asked.begins}
            names={cast.names}
            keepLabel="Keep this evening"
            // A plan of what was asked before is shown until the new one is there, but not kept.
            keeping={keeping.isPending || plan.isPlaceholderData}
            onKeep={(turns) => keeping.mutate(turns)}
          />
        )}
        <div>
          {ask !== undefined && (
            <TurnPanel ask={ask} edited={edited} begins={asked.begins} names={cast.names} />
          )}
          {/* It stays there while a turn is looked at: whoever chooses several students is not interrupted. */}
          <div hidden={edited.chosen !== undefined}>
            <EveningForm
              asked={asked}
              players={cast.players}
              tables={cast.tables}
              coaches={cast.coaches}
              set={set}
            />
          </div>
        </div>
      </div>
    </Stack>
  );
}
