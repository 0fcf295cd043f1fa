import RAPIER from '@dimforge/rapier2d-compat';
import type { Shot } from '../core/motion/shot.ts';

/** The step of a general-purpose rigid-body engine, seconds. */
const STEP = 1e-3;

export async function loadRapier(): Promise<void> {
  await RAPIER.init();
}

/**
 * Steps the same balls in a general-purpose engine for as long as the shot lasts: discs in a box, with damping. It
 * finds another result (it knows no rolling, spin or pockets); what is compared is the time.
 * @param duration seconds that our simulator found
 */
export function stepInRapier({ table, balls, strike }: Shot, duration: number): void {
  const world = new RAPIER.World({ x: 0, y: 0 });
  world.timestep = STEP;
  const wall = (x: number, y: number, halfX: number, halfY: number) =>
    world.createCollider(RAPIER.ColliderDesc.cuboid(halfX, halfY).setTranslation(x, y).setRestitution(0.8));
  wall(table.length / 2, -0.05, table.length, 0.05);
  wall(table.length / 2, table.width + 0.05, table.length, 0.05);
  wall(-0.05, table.width / 2, 0.05, table.width);
  wall(table.length + 0.05, table.width / 2, 0.05, table.width);
  for (const ball of balls) {
    const moves = ball.id === strike.ball;
    const body = world.createRigidBody(
      RAPIER.RigidBodyDesc.dynamic()
        .setTranslation(ball.x, ball.y)
        .setLinvel(
          moves ? strike.speed * Math.cos(strike.direction) : 0,
          moves ? strike.speed * Math.sin(strike.direction) : 0,
        )
        .setLinearDamping(0.3)
        .setCcdEnabled(moves),
    );
    world.createCollider(RAPIER.ColliderDesc.ball(ball.radius).setRestitution(0.94).setFriction(0.05), body);
  }
  for (let t = 0; t < duration; t += STEP) world.step();
  world.free();
}
