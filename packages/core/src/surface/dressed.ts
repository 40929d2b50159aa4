import type { Figure } from '../wood/figure.js';
import { type Growth, growthOf, lightAt } from './figure.js';
import { type Grain, grainOf } from './grain.js';
import type { SampledRing } from './sampleRow.js';
import type { SampledSkin } from './skin.js';

/** A wood as a surface is drawn with it: sRGB, 0 to 255. */
export interface SkinInk {
  readonly r: number;
  readonly g: number;
  readonly b: number;
  readonly figure: Figure;
}

/** What a surface is drawn with: the ink of every place of every ring, then bands, then inlays. */
export interface Dress {
  readonly inks: readonly SkinInk[];
  readonly ofPlace: readonly Uint8Array[];
  /** Of rings that hide the glue lines within their segments: the segment of each place; null for others. */
  readonly joined: readonly (Int16Array | null)[];
  /** Whether glue lines are drawn. */
  readonly glue: boolean;
}

/** Light that is left on a glue line, and of end grain, which takes up more of a finish. */
const GLUE = 0.62;
const END = 0.16;

/** How a place lies: its grain's way and direction from the index mark, and the tree that it is of. */
interface Lying {
  readonly way: Grain['way'][number] | null;
  readonly cos: number;
  readonly sin: number;
  readonly growth: Growth;
}

const ROWS_A_STRETCH = 64;

/**
 * A sampled surface in its woods, some rows at a time; the last value is all of it: four bytes a point, red, green, blue and 255, or 0 where there is no wood. The grain runs
 * with each piece, and each has its own; the same piece looks the same every time.
 */
export function* dressing(
  skin: SampledSkin,
  standing: readonly SampledRing[],
  { inks, ofPlace, joined, glue }: Dress,
): Generator<number, Uint8Array> {
  const { columns, rows, ring: rings, place: places, end, radius, height } = skin;
  const pixels = new Uint8Array(4 * columns * rows);
  const apartMm = skin.line.lengthMm / rows;
  const known: Lying[][] = [];
  const lyingOf = (ring: number, place: number, figure: Figure): Lying => {
    known[ring] ??= [];
    known[ring][place] ??= lying(standing[ring], growthOf(figure, 1009 * ring + place + 1, apartMm), place);
    return known[ring][place]!;
  };
  const parted = (one: number, other: number): boolean => {
    if (rings[one] !== rings[other]) return true;
    const [a, b] = [places[one]!, places[other]!];
    if (a === b) return false;
    const segments = joined[rings[one]!];
    return !(segments && a >= 0 && b >= 0 && segments[a] === segments[b]);
  };
  const round = Float64Array.from({ length: 2 * columns }, (_, i) => {
    const angle = ((Math.floor(i / 2) + 0.5) / columns) * 2 * Math.PI;
    return i % 2 === 0 ? Math.cos(angle) : Math.sin(angle);
  });
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      const at = row * columns + column;
      const [ring, place] = [rings[at]!, places[at]!];
      if (ring < 0 || place < 0) continue;
      const { r, g, b, figure } = inks[ofPlace[ring]?.[place] ?? 0]!;
      const { way, cos, sin, growth } = lyingOf(ring, place, figure);
      const [r0, x, y] = [
        radius[row]!,
        radius[row]! * round[2 * column]!,
        radius[row]! * round[2 * column + 1]!,
      ];
      // What is let in has no ring to tell how it lies: its grain goes round.
      const out = way === null ? r0 : x * cos + y * sin;
      const aside = way === null ? (r0 * 2 * Math.PI * column) / columns : y * cos - x * sin;
      const endShare = end[at]! / 255;
      let light = grown(way, growth, out, aside, height[row]!) * (1 - END * endShare * endShare);
      const beside = column + 1 < columns ? at + 1 : at + 1 - columns;
      if (glue && (parted(at, beside) || (row + 1 < rows && parted(at, at + columns)))) light *= GLUE;
      pixels[4 * at] = Math.min(255, r * light);
      pixels[4 * at + 1] = Math.min(255, g * light);
      pixels[4 * at + 2] = Math.min(255, b * light);
      pixels[4 * at + 3] = 255;
    }
    if (row % ROWS_A_STRETCH === ROWS_A_STRETCH - 1) yield (row + 1) / rows;
  }
  return pixels;
}

/** Light at a point of a piece, by its distance out from the axis, round and up. */
function grown(way: Lying['way'], growth: Growth, out: number, round: number, up: number): number {
  switch (way) {
    case 'upright':
      return lightAt(growth, up, round, out);
    case 'across':
    case 'outwards':
      return lightAt(growth, out, round, up);
    default:
      return lightAt(growth, round, out, up);
  }
}

function lying(standing: SampledRing | undefined, growth: Growth, place: number): Lying {
  if (!standing?.made) return { way: null, cos: 1, sin: 0, growth };
  const { way, toward } = grainOf(standing.made);
  // Across a whole disc the fibres run towards the index mark of the ring, whatever lies where.
  const direction = standing.turn + (way[place] === 'across' ? 0 : toward[place]!);
  return { way: way[place] ?? null, cos: Math.cos(direction), sin: Math.sin(direction), growth };
}
