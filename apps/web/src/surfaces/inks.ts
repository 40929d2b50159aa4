import type { Hatch, Prepared, Species } from '@fellside/core';

/** A wood as pixels are made of it. */
export interface Ink {
  readonly r: number;
  readonly g: number;
  readonly b: number;
  readonly hatch: Hatch;
}

/** For every ring the ink of each place, and whether its grain stands upright. */
export interface Inks {
  readonly inks: readonly Ink[];
  readonly ofPlace: readonly Uint8Array[];
  readonly upright: readonly Uint8Array[];
  /** Of rings that hide the glue lines within their segments: the segment of each place; null for others. */
  readonly joined: readonly (Int16Array | null)[];
}

const NO_WOOD: Ink = { r: 153, g: 153, b: 153, hatch: { angle: 0, gap: 8, line: 'solid' } };

function inkOf({ colour, hatch }: Species): Ink {
  const channel = (at: number) => Number.parseInt(colour.slice(at, at + 2), 16);
  return { r: channel(1), g: channel(3), b: channel(5), hatch };
}

/** What the places of every ring are drawn with. */
export function inksOf({ rings }: Prepared, palette: ReadonlyMap<string, Species>): Inks {
  const keys = [...palette.keys()];
  const known = new Map(keys.map((key, i) => [key, i + 1]));
  return {
    inks: [NO_WOOD, ...keys.map((key) => inkOf(palette.get(key)!))],
    ofPlace: rings.map(({ ring }) => Uint8Array.from(ring.woods, (key) => known.get(key) ?? 0)),
    joined: rings.map(({ ring, made }) => {
      if (!made.ok || !made.value.hidesGlue) return null;
      const segment = new Int16Array(ring.woods.length).fill(-1);
      made.value.together.forEach((places, i) => {
        for (const place of places) segment[place] = i;
      });
      return segment;
    }),
    upright: rings.map(({ ring, made }) => {
      const upright = new Uint8Array(ring.woods.length);
      if (made.ok)
        for (const { grain, places } of made.value.kinds)
          if (grain === 'upright') for (const place of places) upright[place] = 1;
      return upright;
    }),
  };
}
