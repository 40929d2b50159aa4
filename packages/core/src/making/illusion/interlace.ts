import { betweenSides, type FacePoint } from '../faced/face.js';
import { always, type IllusionFigure } from './figure.js';

/** Height of a band and of its dark edging, and where the bands enter the face, as shares of its height. */
const BAND = 0.24;
const EDGING = 0.045;
const ENDS = 0.2;

/**
 * Two bands that cross in every segment and change places: the rising one always lies over, so that each goes over and
 * under in turn. Dark edging either side of the upper one lifts it.
 */
export const interlace: IllusionFigure = {
  name: 'Interlaced bands',
  says: 'two bands woven over and under each other all round; take an even number of segments',
  sides: [
    { name: 'Band above', grain: 'along', tone: (segment) => (segment % 2 === 0 ? 'light' : 'middle') },
    { name: 'Band below', grain: 'along', tone: (segment) => (segment % 2 === 0 ? 'middle' : 'light') },
    { name: 'Edging', grain: 'along', tone: always('dark') },
    { name: 'Ground', grain: 'upright', tone: always('dark') },
  ],
  ratio: () => 1,
  facets(width, height) {
    const half = width / 2;
    const [low, high] = [ENDS * height, (1 - ENDS) * height];
    /** A band from one end of the face to the other, between two heights above and below its middle line. */
    const band = (from: number, to: number, under: number, over: number): FacePoint[] => [
      { u: -half, z: from - under },
      { u: half, z: to - under },
      { u: half, z: to + over },
      { u: -half, z: from + over },
    ];
    const [b, e] = [(BAND * height) / 2, EDGING * height];
    const falling = band(high, low, b, b);
    const middle = { u: 0, z: height / 2 };
    const at = (u: number, z: number): FacePoint => ({ u: u * half, z });
    return [
      { side: 'Band above', loop: band(low, high, b, b) },
      { side: 'Edging', loop: band(low, high, b + e, -b) },
      { side: 'Edging', loop: band(low, high, -b, b + e) },
      { side: 'Band below', loop: betweenSides(falling, -half, 0) },
      { side: 'Band below', loop: betweenSides(falling, 0, half) },
      { side: 'Ground', loop: [at(-1, height), at(-1, high), middle, at(1, high), at(1, height)] },
      { side: 'Ground', loop: [at(-1, 0), at(1, 0), at(1, low), middle, at(-1, low)] },
      { side: 'Ground', loop: [at(-1, low), middle, at(-1, high)] },
      { side: 'Ground', loop: [at(1, low), at(1, high), middle] },
    ];
  },
};
