import { distance } from '../../math/point.ts';
import type { BallOnTable } from '../../motion/shot.ts';

/** Balls with less room between them than this share of a ball's radius hinder each other. */
const ROOM = 1;

/** Groups of two or more balls that lie close together, each ball with the next one of its group; ids, as the balls come. */
export function clustersOf(balls: readonly BallOnTable[]): readonly (readonly string[])[] {
  const left = new Set(balls);
  const clusters: string[][] = [];
  for (const first of balls) {
    if (!left.delete(first)) continue;
    const group = [first];
    for (const member of group) {
      for (const other of left) {
        const room = distance(member, other) - member.radius - other.radius;
        if (room >= ROOM * Math.min(member.radius, other.radius)) continue;
        left.delete(other);
        group.push(other);
      }
    }
    if (group.length > 1) clusters.push(balls.filter((ball) => group.includes(ball)).map(({ id }) => id));
  }
  return clusters;
}
