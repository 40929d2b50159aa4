import { each, type Motif, modulo, repeats } from '../motif.js';

/** A middle on the edge between two faces belongs to the one counter-clockwise of it. */
const HAIR = 1e-6;

/** Which face of a cube a point of its hexagon (width 1, height 1, centre 0) lies on: top, left or right. */
function faceAt(x: number, y: number): number {
  const slope = Math.abs(x) / 2;
  if (y > slope - 1e-9) return 0;
  return x < 0 ? 1 : 2;
}

/**
 * Cubes seen from a corner: rhombs of three tones. Hexagons one repeat wide stand in tiers three quarters of their height
 * apart, every other tier half a repeat round.
 */
export const blocks: Motif = {
  kind: 'blocks',
  name: 'Tumbling blocks',
  says: 'cubes seen from a corner, of three tones: light above, middle and dark at the sides',
  tones: { names: ['Top', 'Left', 'Right'], start: ['light', 'middle', 'dark'], least: 3, most: 3 },
  numbers: [repeats(12), { key: 'high', label: 'Rings a tier', least: 2, most: 60, start: 3 }],
  divides: ({ repeats }) => 2 * repeats!,
  ring: (row, { repeats, high }) => {
    const tall = high! / 0.75;
    const height = row.row + 0.5;
    return each(row, (middle) => {
      let best = { away: Number.POSITIVE_INFINITY, face: 0 };
      const below = Math.floor(height / high!);
      for (const tier of [below - 1, below, below + 1]) {
        const x = modulo(middle * repeats! + HAIR - 0.5 * modulo(tier, 2), 1) - 0.5;
        const y = (height - (tier + 0.5) * high!) / tall;
        // In a regular hexagon with its corners up, of width 1: distance as a share of the way to the border.
        const away = Math.max(Math.abs(2 * x), Math.abs(x) + 2 * Math.abs(y));
        if (away < best.away - 1e-9) best = { away, face: faceAt(x, y) };
      }
      return best.face;
    });
  },
};
