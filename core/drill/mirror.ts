import type { Drill, PlaceText, Target } from '../records/drill.ts';
import type { SpotName } from '../table/markings.ts';
import type { PocketName } from '../table/pockets.ts';

const otherSide = <T extends string>(name: T, swap: Readonly<Partial<Record<T, T>>>): T => swap[name] ?? name;

const POCKETS: Readonly<Record<PocketName, PocketName>> = {
  'head-right': 'head-left',
  'head-left': 'head-right',
  'middle-right': 'middle-left',
  'middle-left': 'middle-right',
  'foot-right': 'foot-left',
  'foot-left': 'foot-right',
};
const CUSHIONS = { right: 'left', left: 'right' } as const;
/** The two spots that do not stand on the middle line. */
const SPOTS: Readonly<Partial<Record<SpotName, SpotName>>> = { yellow: 'green', green: 'yellow' };

function mirrorPlace(place: PlaceText, width: number): PlaceText {
  const step = (value: { along: number; across: number } | undefined) =>
    value === undefined ? {} : { step: { along: value.along, across: -value.across } };
  if ('diamonds' in place) return { diamonds: { ...place.diamonds, across: 4 - place.diamonds.across } };
  if ('spot' in place) return { spot: otherSide(place.spot, SPOTS), ...step(place.step) };
  if ('share' in place) {
    return { share: { ...place.share, across: 1 - place.share.across }, ...step(place.step) };
  }
  if ('frozen' in place) {
    const alongTable = place.frozen === 'right' || place.frozen === 'left';
    return alongTable
      ? { frozen: otherSide(place.frozen, CUSHIONS), at: place.at }
      : { frozen: place.frozen, at: 1 - place.at };
  }
  if ('beside' in place) return { ...place, towardsDeg: -place.towardsDeg };
  return { x: place.x, y: width - place.y };
}

function mirrorTask(task: Drill['task']): Drill['task'] {
  switch (task.kind) {
    case 'position':
      return {
        ...task,
        pocket: POCKETS[task.pocket],
        next: { ...task.next, pocket: POCKETS[task.next.pocket] },
      };
    case 'land':
      return { ...task, pot: task.pot && { ...task.pot, pocket: POCKETS[task.pot.pocket] } };
    case 'plant':
      return { ...task, pocket: POCKETS[task.pocket] };
    case 'double':
      return {
        ...task,
        pocket: POCKETS[task.pocket],
        cushions: task.cushions.map((cushion) => otherSide(cushion, CUSHIONS)),
      };
    case 'kick':
      return { ...task, cushions: task.cushions.map((cushion) => otherSide(cushion, CUSHIONS)) };
    default:
      return task;
  }
}

const across = <C extends { readonly across: number }>(corner: C): C => ({
  ...corner,
  across: 1 - corner.across,
});

function mirrorTarget(target: Target, width: number): Target {
  switch (target.kind) {
    case 'rings':
      return { ...target, at: mirrorPlace(target.at, width) };
    case 'polygon':
      return { ...target, corners: target.corners.map(across) };
    case 'rectangle':
    case 'way':
      return { ...target, from: across(target.from), to: across(target.to) };
    case 'cushion':
      return target.side === 'right' || target.side === 'left'
        ? { ...target, side: otherSide(target.side, CUSHIONS) }
        : { ...target, from: 1 - target.to, to: 1 - target.from };
    case 'thickness':
      return target;
  }
}

function mirrorPlan(plan: NonNullable<Drill['plan']>): NonNullable<Drill['plan']> {
  return { ...plan, tip: { ...plan.tip, side: -plan.tip.side } };
}

type Area = NonNullable<Drill['cueBall']['area']>;

function mirrorArea({ from, to }: Area): Area {
  return {
    from: { along: from.along, across: 1 - to.across },
    to: { along: to.along, across: 1 - from.across },
  };
}

/**
 * The drill seen in a mirror along the table, for the other hand: right and left change places, in the layout, the
 * pockets, the cushions and the side of the planned stroke.
 * @param width of the table, metres, for places that are written in metres
 */
export function mirrorDrill<D extends Drill>(drill: D, width: number): D {
  const place = <B extends { readonly at: PlaceText }>(ball: B): B => ({
    ...ball,
    at: mirrorPlace(ball.at, width),
  });
  const { plan, thrown, cueBall } = drill;
  return {
    ...drill,
    balls: drill.balls.map(place),
    stages: drill.stages.map((stage) => ({ ...stage, moved: stage.moved.map(place) })),
    ...(drill.stations && { stations: drill.stations.map((at) => mirrorPlace(at, width)) }),
    task: mirrorTask(drill.task),
    targets: drill.targets.map((target) => mirrorTarget(target, width)),
    plan: plan && mirrorPlan(plan),
    routes: drill.routes.map((route) => ({ ...route, plan: mirrorPlan(route.plan) })),
    thrown: thrown && { ...thrown, area: mirrorArea(thrown.area) },
    cueBall: { ...cueBall, area: cueBall.area && mirrorArea(cueBall.area) },
  };
}
