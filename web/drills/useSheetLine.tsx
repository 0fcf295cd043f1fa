import { Text, Title } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { simulate } from '../../core/motion/simulate.ts';
import type { Drill } from '../../core/records/drill.ts';
import { middleOf } from '../../core/shot/directions.ts';
import { kickShot } from '../../core/shot/kicks/way.ts';
import type { Table } from '../../core/table/table.ts';
import { useViewer } from '../api/viewer.ts';
import { LineFacts } from '../planner/kick/LineFacts.tsx';
import { isPlanKept } from '../planner/order/isKept.ts';
import { AimMark, PathMark } from '../table/marks.tsx';
import { cushionsWords, lineWords, strokeWords } from '../words/kickWords.ts';
import { useWords } from '../words/useWords.ts';
import { capital } from '../words/vocabulary.ts';
import { KICK_LEVEL, kickAskedOf } from '../planner/kick/kickAsked.ts';
import { kickFamiliesQuery } from '../planner/kick/kickFamiliesQuery.ts';

/** The surest line of a drill that asks for a kick, for its sheet; nothing where the plan is kept from who looks. */
export function useSheetLine(
  drill: Drill,
  table: Table,
  seed: number,
): { readonly marks: ReactNode; readonly facts: ReactNode } | undefined {
  const { vocabulary } = useWords();
  const isKept = isPlanKept(useViewer(), drill);
  const asked = isKept ? undefined : kickAskedOf(drill, table, seed);
  const families = useQuery(kickFamiliesQuery(asked));
  if (asked === undefined) return undefined;
  const best = families.data?.[0]?.best;
  if (best === undefined) {
    const words = families.isPending ? 'The line is being worked out …' : 'No stroke leads there.';
    return { marks: null, facts: <Text size="sm">{words}</Text> };
  }
  const { paths, events } = simulate(
    kickShot({ table, balls: asked.balls, cue: asked.cue }, best.stroke, middleOf(best)),
    {
      paths: true,
      untilMeeting: true,
    },
  );
  const cue = asked.balls.find(({ id }) => id === asked.cue);
  const path = paths?.find(({ id }) => id === asked.cue);
  return {
    marks: (
      <>
        {path !== undefined && <PathMark path={path} duration={events.at(-1)?.t ?? 0} kind="cue" />}
        {cue !== undefined && best.aim !== undefined && <AimMark from={cue} to={best.aim.at} />}
      </>
    ),
    facts: (
      <section aria-labelledby="line-title">
        <Title order={2} size="h3" mt="sm" id="line-title">
          The surest line
        </Title>
        <Text>
          {capital(cushionsWords(best.cushions, vocabulary))}, {strokeWords(best.stroke, vocabulary)}:{' '}
          {lineWords(best)} by a {KICK_LEVEL} player.
        </Text>
        <LineFacts line={best} preset={table.preset} />
      </section>
    ),
  };
}
