import { Button, SegmentedControl, Text } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { stationsOf } from '../../core/drill/station.ts';
import type { Drill } from '../../core/records/drill.ts';
import type { KickFamily } from '../../core/shot/kicks/kickFamilies.ts';
import type { Table } from '../../core/table/table.ts';
import { useViewer } from '../api/viewer.ts';
import { FamiliesCard } from '../planner/kick/FamiliesCard.tsx';
import { KickTable } from '../planner/kick/KickTable.tsx';
import { LineFacts } from '../planner/kick/LineFacts.tsx';
import { isPlanKept } from '../planner/order/isKept.ts';
import { shotToLink, shotWith } from '../table/labShot.ts';
import { KICK_LEVEL, kickAskedOf } from '../planner/kick/kickAsked.ts';
import { LineKey } from '../table/LineKey.tsx';

/** The throw that is shown of a drill whose balls are thrown. */
const SEED = 1;

/** The lines of a drill that asks for a kick: found when somebody asks, in the place of the drill's drawing then. */
export function useKickLines(
  drill: Drill,
  table: Table,
): { readonly drawing: ReactNode; readonly card: ReactNode } | undefined {
  const [family, setFamily] = useState<{ readonly key: string; readonly taken: KickFamily }>();
  const [station, setStation] = useState(1);
  const isKept = isPlanKept(useViewer(), drill);
  const asked = kickAskedOf(drill, table, SEED, station);
  if (asked === undefined || isKept) return undefined;
  const { balls, target } = asked;
  const key = JSON.stringify(asked);
  const best = family?.key === key ? family.taken.best : undefined;
  const shot = shotWith(table, balls);
  const lab = `/lab/kick?${new URLSearchParams({
    target,
    cushions: String(asked.wish.mostCushions),
    shot: shotToLink(best === undefined ? shot : { ...shot, strike: { ...shot.strike, ...best.stroke } }),
  }).toString()}`;
  const card = (
    <FamiliesCard
      title="Lines"
      ask="Find them"
      asked={asked}
      tableKey={key}
      onTake={(taken) => setFamily({ key, taken })}
      below={
        <>
          {stationsOf(drill) > 1 && (
            <SegmentedControl
              mb={6}
              size="xs"
              aria-label="The cue ball’s place"
              data={Array.from({ length: stationsOf(drill) }, (_, k) => String(k + 1))}
              value={String(station)}
              onChange={(value) => setStation(Number(value))}
            />
          )}
          {best === undefined ? (
            <Text size="sm">Tap one to see it on the table. Chances of a {KICK_LEVEL} player.</Text>
          ) : (
            <LineFacts line={best} preset={table.preset} />
          )}
          <Button mt={6} size="xs" variant="default" component={Link} to={lab} className="no-print">
            Open in the lab
          </Button>
        </>
      }
    />
  );
  const drawing =
    best === undefined ? undefined : (
      <>
        <KickTable shot={shot} lines={[best]} chosen={0} target={target} />
        <LineKey cueBall objectBall aim="where the cue points" />
      </>
    );
  return { drawing, card };
}
