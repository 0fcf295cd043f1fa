import { Button, Text } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { CUE_BALL } from '../../core/drill/layout.ts';
import { ballsOfSetUp, setUp } from '../../core/drill/setUp.ts';
import { executionErrorOf } from '../../core/player/levels.ts';
import type { Drill } from '../../core/records/drill.ts';
import type { KickFamily } from '../../core/shot/kicks/kickFamilies.ts';
import type { Table } from '../../core/table/table.ts';
import { useViewer } from '../api/viewer.ts';
import { FamiliesCard } from '../planner/kick/FamiliesCard.tsx';
import { KickTable } from '../planner/kick/KickTable.tsx';
import { LineFacts } from '../planner/kick/LineFacts.tsx';
import { isPlanKept } from '../planner/order/isKept.ts';
import { shotToLink, shotWith } from '../table/labShot.ts';

/** The throw that is shown of a drill whose balls are thrown. */
const SEED = 1;
/** Cushions at most where the way is the player's to find. */
const CUSHIONS = 3;
const LEVEL = 'team';

/** The lines of a drill that asks for a kick: found when somebody asks, in the place of the drill's drawing then. */
export function useKickLines(
  drill: Drill,
  table: Table,
): { readonly drawing: ReactNode; readonly card: ReactNode } | undefined {
  const [family, setFamily] = useState<{ readonly key: string; readonly taken: KickFamily }>();
  const { task, conditions } = drill;
  const isKept = isPlanKept(useViewer(), drill);
  const balls = task.kind === 'kick' ? ballsOfSetUp(setUp(drill, table.preset, SEED)) : [];
  if (task.kind !== 'kick' || isKept || !balls.some(({ id }) => id === CUE_BALL)) return undefined;
  const by = task.cushions.length === 0 ? undefined : task.cushions;
  const asked = {
    table: { preset: table.preset, parameters: table.parameters },
    balls,
    cue: CUE_BALL,
    target: task.target,
    wish: {
      targets: [task.target],
      mostCushions: by?.length ?? CUSHIONS,
      fewestCushions: conditions.includes('cushion first') ? 1 : 0,
      cushions: by,
      noSide: conditions.includes('no side'),
    },
    error: executionErrorOf(LEVEL, table.preset.game),
  };
  const key = JSON.stringify(asked);
  const best = family?.key === key ? family.taken.best : undefined;
  const shot = shotWith(table, balls);
  const lab = `/lab/kick?${new URLSearchParams({
    target: task.target,
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
          {best === undefined ? (
            <Text size="sm">Tap one to see it on the table. Chances of a {LEVEL} player.</Text>
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
    best === undefined ? undefined : <KickTable shot={shot} lines={[best]} chosen={0} target={task.target} />;
  return { drawing, card };
}
