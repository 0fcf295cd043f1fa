import { standardCard, tableOfCard } from '../../core/table/card.ts';
import { roomBehind } from '../../core/table/room.ts';
import type { ClubTable } from '../../core/records/clubTable.ts';
import { chooseTable } from './LabHead.tsx';
import { firstShot, shotFromLink } from '../table/labShot.ts';
import type { LabPosition } from './labState.ts';

/** The position with which the lab opens: the one in the address, or the first one on the address's table. */
export function firstPosition(params: URLSearchParams, tables: readonly ClubTable[]): LabPosition {
  const linked = shotFromLink(params.get('shot') ?? '');
  if (linked !== undefined) return { shot: linked, chosen: undefined };
  const chosen = chooseTable(params.get('table') ?? '', tables) ?? {
    key: 'pool-9ft',
    card: standardCard('pool-9ft'),
    conditions: null,
  };
  return { shot: firstShot(tableOfCard(chosen.card, chosen.conditions)), chosen };
}

/** How much room the cue has behind the struck ball, metres; Infinity where nothing is known. */
export function roomFor({ shot, chosen }: LabPosition): number {
  const struck = shot.balls.find((ball) => ball.id === shot.strike.ball);
  if (struck === undefined || chosen === undefined) return Infinity;
  return roomBehind(shot.table, chosen.card.room, struck, shot.strike.direction);
}
