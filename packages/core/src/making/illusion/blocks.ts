import { between, betweenSides, type FacePoint, loopArea } from '../faced/face.js';
import { always, type Facet, type IllusionFigure } from './figure.js';

/**
 * Cubes seen on edge: hexagons as wide as a segment, each of three rhombs, rows half a segment aside of each other and
 * three quarters of a hexagon apart. A true cube's row is √3/2 of its width high.
 */
export const blocks: IllusionFigure = {
  name: 'Tumbling blocks',
  says: 'cubes stacked on edge: top light, left side middle, right side dark',
  sides: [
    { name: 'Top', grain: 'outwards', tone: always('light') },
    { name: 'Left side', grain: 'along', tone: always('middle') },
    { name: 'Right side', grain: 'upright', tone: always('dark') },
  ],
  ratio: (rows) => (rows * Math.sqrt(3)) / 2,
  facets(width, height, rows) {
    const row = height / rows;
    const edge = row / 1.5;
    const half = width / 2;
    const facets: Facet[] = [];
    for (let r = -1; r <= rows; r++)
      for (const column of [-1, 0, 1]) {
        const u = (column + (Math.abs(r) % 2 === 1 ? 0.5 : 0)) * width;
        const z = (r + 0.5) * row;
        const at = (x: number, y: number): FacePoint => ({ u: u + x * half, z: z + y * edge });
        const rhombs = [
          ['Top', [at(0, 0), at(1, 0.5), at(0, 1), at(-1, 0.5)]],
          ['Left side', [at(0, 0), at(-1, 0.5), at(-1, -0.5), at(0, -1)]],
          ['Right side', [at(0, 0), at(0, -1), at(1, -0.5), at(1, 0.5)]],
        ] as const;
        for (const [side, loop] of rhombs) {
          const kept = betweenSides(between(loop, 0, height), -half, half);
          if (kept.length > 2 && Math.abs(loopArea(kept)) > 1e-9 * width * height)
            facets.push({ side, loop: kept });
        }
      }
    return facets;
  },
};
