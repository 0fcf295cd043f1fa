import { expose } from 'comlink';
import { ballInPhoto } from '../../core/photo/ballInPhoto.ts';
import { projectorOf } from '../../core/photo/camera.ts';
import { findBalls } from '../../core/photo/findBalls.ts';
import { cornersOf } from '../../core/photo/marks.ts';
import { solveCamera } from '../../core/photo/solveCamera.ts';
import type { PhotoSolver } from './photoProtocol.ts';

/** A bent edge is drawn in so many pieces. */
const PIECES = 16;

const solver: PhotoSolver = {
  read: ({ table, size, marks, balls }) => {
    const solved = solveCamera(marks, size);
    const project = projectorOf(solved.camera);
    const corners = cornersOf(table).map(({ at }) => at);
    const edges = corners.flatMap((from, i) => {
      const to = corners[(i + 1) % corners.length] ?? from;
      return Array.from({ length: PIECES }, (_, k) => {
        const share = k / PIECES;
        return project({
          x: from.x + share * (to.x - from.x),
          y: from.y + share * (to.y - from.y),
          z: from.z,
        });
      });
    });
    return Promise.resolve({
      balls: balls.map(({ pixel, radius }) => ballInPhoto(solved, pixel, radius) ?? null),
      error: solved.error,
      isMeasured: solved.isMeasured,
      edges: edges.flatMap((pixel) => pixel ?? []),
    });
  },
  find: ({ table, size, marks }, picture) =>
    Promise.resolve(findBalls(picture, solveCamera(marks, size).camera, table)),
};

expose(solver);
