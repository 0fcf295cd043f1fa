import { Text, Title } from '@mantine/core';
import { skipToken, useQuery, useQueryClient } from '@tanstack/react-query';
import { CUE_BALL, layOut } from '../../core/drill/layout.ts';
import { atStation, stationsOf } from '../../core/drill/station.ts';
import type { Drill } from '../../core/records/drill.ts';
import type { RatedLine } from '../../core/shot/kicks/kickFamilies.ts';
import { measurePlace } from '../../core/table/place.ts';
import type { Table } from '../../core/table/table.ts';
import { useViewer } from '../api/viewer.ts';
import { isPlanKept } from '../planner/order/isKept.ts';
import { aimWords, lineWords, strokeWords } from '../words/kickWords.ts';
import { placeByTape } from '../words/places.ts';
import { useWords } from '../words/useWords.ts';
import { capital } from '../words/vocabulary.ts';
import { KICK_LEVEL, kickAskedOf } from '../planner/kick/kickAsked.ts';
import { kickFamiliesQuery } from '../planner/kick/kickFamiliesQuery.ts';

const SEED = 1;

/** The places that the cue ball takes in turn, each with its surest line: worked out one after the other. */
export function StationList({ drill, table }: { readonly drill: Drill; readonly table: Table }) {
  const { vocabulary } = useWords();
  const queries = useQueryClient();
  const isKept = isPlanKept(useViewer(), drill);
  const numbers = Array.from({ length: stationsOf(drill) }, (_, k) => k + 1);
  const asked = numbers.map((number) => kickAskedOf(drill, table, SEED, number));
  const isAsked = !isKept && asked.every((each) => each !== undefined);
  const lines = useQuery({
    queryKey: ['station lines', JSON.stringify(asked)],
    queryFn: !isAsked
      ? skipToken
      : async () => {
          const found: (RatedLine | undefined)[] = [];
          for (const each of asked) {
            const families = await queries.query({ ...kickFamiliesQuery(each), staleTime: 'static' });
            found.push(families[0]?.best);
          }
          return found;
        },
    staleTime: Infinity,
    networkMode: 'always',
  });

  function wordsOf(line: RatedLine | undefined): string {
    if (line === undefined) return 'No stroke leads there.';
    const aim = line.aim === undefined ? 'straight' : aimWords(line.aim, table.preset, vocabulary);
    return `${capital(aim)}; ${strokeWords(line.stroke, vocabulary)}: ${lineWords(line)}.`;
  }

  return (
    <section aria-labelledby="stations-title">
      <Title order={2} size="h3" mt="sm" id="stations-title">
        The cue ball in turn
      </Title>
      <Text size="sm" c="dimmed">
        {lines.isFetching
          ? 'The lines are being worked out …'
          : isAsked && `The surest line from each, by a ${KICK_LEVEL} player.`}
      </Text>
      <ol className="sheet-places">
        {numbers.map((number) => {
          const cue = layOut(atStation(drill, number), table.preset).find(({ id }) => id === CUE_BALL);
          return (
            <li key={number}>
              <b>{number}</b>
              <span>
                {cue !== undefined && placeByTape(measurePlace(table.preset, cue), vocabulary)}
                {lines.data !== undefined && (
                  <Text size="sm" c="dimmed">
                    {wordsOf(lines.data[number - 1])}
                  </Text>
                )}
              </span>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
