import { CUE_BALL } from '../drill/layout.ts';
import type { BallOnTable } from '../motion/shot.ts';
import { simulate } from '../motion/simulate.ts';
import { leftOnTable } from '../planning/aftermath.ts';
import { executionErrorOf, type LevelName } from '../player/levels.ts';
import { rackBalls, type RackKind } from '../rack/rack.ts';
import { createRandom } from '../random/random.ts';
import { spotsOf } from '../table/markings.ts';
import type { Table } from '../table/table.ts';
import { plainBreak } from './plainBreak.ts';
import { playedBy } from './player.ts';

/** Breaks that are played until one leaves a table to be cleared. */
const TRIES = 40;
/** A racker leaves gaps up to this, metres. */
const GAP = 0.0002;

/** The ball without which a rack is not cleared. */
const LAST: Readonly<Record<RackKind, string | undefined>> = {
  nine: '9',
  eight: '8',
  'eight on the spot': '8',
  reds: undefined,
};

/**
 * A table as a break of a player of this level leaves it: all balls on it, the cue ball not lost, the last ball not
 * potted. Snooker: the colours stand on their spots, and the break is one off the edge of the pack.
 * @param seed same seed, same table
 * @throws RangeError when the table has no spot for the rack, or no break of many leaves such a table
 */
export function tableAfterBreak(
  table: Table,
  kind: RackKind,
  level: LevelName,
  seed: number,
): readonly BallOnTable[] {
  const { preset } = table;
  const random = createRandom(seed);
  const spots = kind === 'reds' ? spotsOf(preset) : [];
  const colours = ['yellow', 'green', 'brown', 'blue', 'pink', 'black'].flatMap((id) =>
    spots
      .filter(({ name }) => name === id)
      .map(({ at }) => ({ id, ...at, radius: preset.ballRadius, mass: preset.ballMass })),
  );
  const hit =
    kind === 'reds' ? 'edge of the pack' : kind === 'eight on the spot' ? 'second ball' : 'head ball';
  for (let k = 0; k < TRIES; k++) {
    const rack = rackBalls(kind, preset, GAP * random.uniform());
    const player = { table, error: executionErrorOf(level, preset.game), random: random.fork(k) };
    const plan = plainBreak(player, { kind: 'break', hit }, null, rack);
    const whole = { ...plan, balls: [...plan.balls, ...colours] };
    const played = playedBy(player, whole, player.random);
    const left = leftOnTable(whole.balls, simulate(played, { events: false }).rest);
    const has = (id: string | undefined) => id === undefined || left.some((ball) => ball.id === id);
    if (has(CUE_BALL) && has(LAST[kind]) && colours.every(({ id }) => has(id))) return left;
  }
  throw new RangeError(`tableAfterBreak: no break leaves a table to be cleared at ${preset.name}`);
}
