import { sharePlace, snapPlace } from '../../core/drill/snapPlace.ts';
import { CUE_BALL, layOutWhatCan } from '../../core/drill/layout.ts';
import { slugOf } from '../../core/drill/draft.ts';
import { objectBalls } from '../../core/drill/round.ts';
import { atStage } from '../../core/drill/stage.ts';
import { rackIds, type RackKind } from '../../core/rack/rack.ts';
import type { Point } from '../../core/math/point.ts';
import type { Drill, PlaceText, Target } from '../../core/records/drill.ts';
import { CUSHION_SIDES, type CushionSide } from '../../core/records/drillText/places.ts';
import type { TablePreset } from '../../core/table/preset.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';

/** The base of a drill, or one of its stages by number. */
export type Part = 'base' | number;

/** The drill as a part shows it. */
export function shown(drill: Drill, part: Part): Drill {
  return part === 'base' ? drill : atStage(drill, part);
}

export function withStage(
  drill: Drill,
  number: number,
  edit: (stage: Drill['stages'][number]) => Drill['stages'][number],
): Drill {
  return { ...drill, stages: drill.stages.map((stage, i) => (i === number - 1 ? edit(stage) : stage)) };
}

/** A ball at another place: for all stages in the base, in a stage for that one alone. */
export function placeBall(drill: Drill, part: Part, id: string, at: PlaceText): Drill {
  if (part === 'base') {
    return { ...drill, balls: drill.balls.map((ball) => (ball.id === id ? { id, at } : ball)) };
  }
  return withStage(drill, part, (stage) => ({
    ...stage,
    moved: [...stage.moved.filter((ball) => ball.id !== id), { id, at }],
  }));
}

/**
 * What a place on the cloth means for a ball of a drill.
 * @param snap whether it may be taken for what lies near
 */
export function placeFor(drill: Drill, part: Part, id: string, wanted: Point, snap: boolean): PlaceText {
  const preset = TABLE_PRESETS[drill.table];
  if (!snap) return sharePlace(wanted, preset);
  const { balls } = shown(drill, part);
  const index = balls.findIndex((ball) => ball.id === id);
  const before = layOutWhatCan({ balls: balls.slice(0, Math.max(0, index)) }, preset);
  const radius = id === CUE_BALL ? preset.cueBallRadius : preset.ballRadius;
  return snapPlace(wanted, preset, radius, before);
}

const isRed = (id: string) => id.startsWith('red');

/** Names that a ball more can have on a drill's table. */
export function freeNames(drill: Drill): readonly string[] {
  const numbers = Array.from({ length: 15 }, (_, i) => String(i + 1));
  const reds = ['red', ...Array.from({ length: 14 }, (_, i) => `red ${i + 2}`)];
  const colours = ['yellow', 'green', 'brown', 'blue', 'pink', 'black'];
  const all =
    TABLE_PRESETS[drill.table].markings === 'colours' ? [...reds.slice(0, 15), ...colours] : numbers;
  const taken = [CUE_BALL, ...objectBalls(drill)];
  const onCue = drill.balls.some(({ id }) => id === CUE_BALL) ? [] : [CUE_BALL];
  const redsRacked = drill.rack?.kind === 'reds';
  return [...onCue, ...all.filter((id) => !taken.includes(id) && !(redsRacked && isRed(id)))];
}

/** The names that are offered for a ball more: of the reds, which are alike, the next one. */
export function offeredNames(drill: Drill): readonly string[] {
  const free = freeNames(drill);
  const nextRed = free.find(isRed);
  return free.filter((id) => !isRed(id) || id === nextRed);
}

/** The racks that a table has a spot for. */
export function racksFor(drill: Drill): readonly RackKind[] {
  return TABLE_PRESETS[drill.table].markings === 'colours'
    ? ['reds']
    : ['nine', 'eight', 'eight on the spot'];
}

/** With a rack, or without one: the balls that stand in it are no longer placed or thrown by themselves. */
export function withRack(drill: Drill, kind: RackKind | undefined): Drill {
  if (kind === undefined) return { ...drill, rack: null };
  const racked = rackIds(kind);
  const inRack = (id: string) => racked.includes(id) || (kind === 'reds' && isRed(id));
  const placed = drill.balls.map(({ id }) => id).filter(inRack);
  const cleared = placed.reduce((before, id) => removeBall(before, 'base', id), drill);
  const balls = (drill.thrown?.balls ?? []).filter((id) => !inRack(id));
  const thrown = drill.thrown === null || balls.length === 0 ? null : { ...drill.thrown, balls };
  return { ...cleared, thrown, rack: { kind } };
}

/** A ball more, in the middle of the table or on a free place beside it. */
export function addBall(drill: Drill, id: string): Drill {
  const preset = TABLE_PRESETS[drill.table];
  const taken = layOutWhatCan(drill, preset);
  const free = Array.from({ length: 40 }, (_, i) => ({
    x: preset.length / 2 + (i % 2 === 0 ? 1 : -1) * Math.ceil(i / 2) * 3 * preset.ballRadius,
    y: preset.width / 2,
  })).find((place) =>
    taken.every((ball) => Math.hypot(ball.x - place.x, ball.y - place.y) > 2.2 * preset.ballRadius),
  );
  const at = sharePlace(free ?? { x: preset.length / 2, y: preset.width / 2 }, preset);
  return { ...drill, balls: [...drill.balls, { id, at }] };
}

/** A ball less: from the drill in the base, in a stage from that one alone. Balls placed beside it stay where they lie. */
export function removeBall(drill: Drill, part: Part, id: string): Drill {
  if (part !== 'base') {
    return withStage(drill, part, (stage) => ({
      ...stage,
      without: stage.without.includes(id) ? stage.without : [...stage.without, id],
      moved: stage.moved.filter((ball) => ball.id !== id),
    }));
  }
  const preset = TABLE_PRESETS[drill.table];
  const places = new Map(layOutWhatCan(drill, preset).map((ball) => [ball.id, ball]));
  const freed = (ball: Drill['balls'][number]) => {
    const at = places.get(ball.id);
    const leans = 'beside' in ball.at && ball.at.beside === id;
    return leans && at !== undefined ? { id: ball.id, at: sharePlace(at, preset) } : ball;
  };
  return {
    ...drill,
    balls: drill.balls.filter((ball) => ball.id !== id).map(freed),
    stages: drill.stages.map((stage) => ({
      ...stage,
      without: stage.without.filter((each) => each !== id),
      moved: stage.moved.filter((ball) => ball.id !== id),
    })),
  };
}

/** A corner of a target in shares of the table, to a third of a millimetre; what lies beyond the noses ends at them. */
function cornerAt({ x, y }: Point, { length, width }: TablePreset) {
  const part = (value: number) => Math.round(Math.min(1, Math.max(0, value)) * 10_000) / 10_000;
  return { along: part(x / length), across: part(y / width) };
}

/** What a drag over the cloth draws, from its first place to its last. */
export type DrawnKind = 'rings' | 'rectangle' | 'way' | 'cushion';

function nearestSide({ x, y }: Point, { length, width }: TablePreset): CushionSide {
  const away = { head: x, foot: length - x, right: y, left: width - y };
  return CUSHION_SIDES.reduce((near, side) => (away[side] < away[near] ? side : near));
}

const LEAST_RADIUS = 0.5;
const INNER = 0.5;

export function drawnTarget(drill: Drill, kind: DrawnKind, from: Point, to: Point): Target {
  const preset = TABLE_PRESETS[drill.table];
  const share = (place: Point) => cornerAt(place, preset);
  if (kind === 'rings') {
    const widths = Math.hypot(to.x - from.x, to.y - from.y) / (2 * preset.ballRadius);
    const radius = Math.round(4 * Math.min(30, Math.max(2 * LEAST_RADIUS, widths))) / 4;
    return {
      kind,
      at: snapPlace(from, preset, preset.cueBallRadius, []),
      rings: [
        { radius: radius * INNER, points: 2 },
        { radius, points: 1 },
      ],
    };
  }
  if (kind === 'cushion') {
    const side = nearestSide(from, preset);
    const axis = side === 'head' || side === 'foot' ? 'across' : 'along';
    const ends = [share(from)[axis], share(to)[axis]];
    return { kind, side, from: Math.min(...ends), to: Math.max(...ends) };
  }
  if (kind === 'way') return { kind, from: share(from), to: share(to), room: 1, points: 1 };
  return { kind, from: share(from), to: share(to), points: 1 };
}

/** A polygon through places of the cloth. */
export function drawnPolygon(drill: Drill, places: readonly Point[]): Target {
  const preset = TABLE_PRESETS[drill.table];
  return { kind: 'polygon', corners: places.map((place) => cornerAt(place, preset)), points: 1 };
}

/** Another title; a drill that is not saved yet is called by it. */
export function withTitle(drill: Drill, title: string, saved: boolean): Drill {
  return { ...drill, title, slug: saved ? drill.slug : slugOf(title) };
}
