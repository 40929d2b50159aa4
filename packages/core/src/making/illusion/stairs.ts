import type { FacePoint } from '../faced/face.js';
import { betweenSides, box, loopArea } from '../faced/face.js';
import { always, type Facet, type IllusionFigure } from './figure.js';

/** How far back a step goes, to the left and upwards, as shares of its own width and of the height. */
const BACK = { left: 0.6, up: 0.26 } as const;
/** Where the flight begins and how much of the height it climbs. */
const FLIGHT = { from: 0.1, climbs: 0.56 } as const;

/** A flight of steps that climbs to the right in every segment: treads light, risers middle, what lies round it dark. */
export const stairs: IllusionFigure = {
  name: 'Stairs',
  says: 'a flight of steps in every segment: treads light, risers middle, ground dark',
  sides: [
    { name: 'Tread', grain: 'outwards', tone: always('light') },
    { name: 'Riser', grain: 'along', tone: always('middle') },
    { name: 'Ground', grain: 'along', tone: always('dark') },
  ],
  ratio: () => 1,
  facets(width, height, rows) {
    const step = width / rows;
    const rise = (FLIGHT.climbs * height) / rows;
    const back = (p: FacePoint): FacePoint => ({ u: p.u - BACK.left * step, z: p.z + BACK.up * height });
    const corner = (i: number, above: number): FacePoint => ({
      u: -width / 2 + i * step,
      z: FLIGHT.from * height + (i + above) * rise,
    });
    const facets = Array.from({ length: rows }, (_, i): Facet[] => {
      const [foot, top, next] = [corner(i, 0), corner(i, 1), corner(i + 1, 0)];
      return [
        { side: 'Riser', loop: [foot, top, back(top), back(foot)] },
        { side: 'Tread', loop: [top, next, back(next), back(top)] },
      ];
    }).flat();
    const held = facets.map(({ side, loop }) => ({ side, loop: betweenSides(loop, -width / 2, width / 2) }));
    const drawn = held.filter(({ loop }) => Math.abs(loopArea(loop)) > 1e-9 * width * height);
    const front = Array.from({ length: rows }, (_, i) => [corner(i, 0), corner(i, 1)]).flat();
    const below: Facet = {
      side: 'Ground',
      loop: [{ u: -width / 2, z: 0 }, { u: width / 2, z: 0 }, corner(rows, 0), ...front.reverse()],
    };
    return [...drawn, below, { side: 'Ground', loop: box(-width / 2, width / 2, 0, height) }];
  },
};
