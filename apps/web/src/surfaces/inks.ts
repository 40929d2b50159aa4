import {
  figureOf,
  type Hatch,
  PLAIN_FIGURE,
  type Prepared,
  type SkinInk,
  type Species,
  shownOn,
} from '@fellside/core';

/** A wood as pixels are made of it. */
export interface Ink extends SkinInk {
  readonly hatch: Hatch;
}

/** For every ring, and every slanted band behind the rings, the ink of each place, and whether its grain stands upright. */
export interface Inks {
  readonly inks: readonly Ink[];
  readonly ofPlace: readonly Uint8Array[];
  readonly upright: readonly Uint8Array[];
  /** Of rings that hide the glue lines within their segments: the segment of each place; null for others. */
  readonly joined: readonly (Int16Array | null)[];
}

const NO_WOOD: Ink = {
  r: 153,
  g: 153,
  b: 153,
  hatch: { angle: 0, gap: 8, line: 'solid' },
  figure: PLAIN_FIGURE,
};

function inkOf(species: Species): Ink {
  const { colour, hatch } = species;
  const channel = (at: number) => Number.parseInt(colour.slice(at, at + 2), 16);
  return { r: channel(1), g: channel(3), b: channel(5), hatch, figure: figureOf(species) };
}

/** What the places of every ring are drawn with. */
export function inksOf(prepared: Prepared, palette: ReadonlyMap<string, Species>): Inks {
  const shown = shownOn(prepared);
  const keys = [...palette.keys()];
  const known = new Map(keys.map((key, i) => [key, i + 1]));
  return {
    inks: [NO_WOOD, ...keys.map((key) => inkOf(palette.get(key)!))],
    ofPlace: shown.map(({ woods }) => Uint8Array.from(woods, (key) => known.get(key) ?? 0)),
    joined: shown.map(({ woods, made }) => {
      if (!made?.hidesGlue) return null;
      const segment = new Int16Array(woods.length).fill(-1);
      made.together.forEach((places, i) => {
        for (const place of places) segment[place] = i;
      });
      return segment;
    }),
    upright: shown.map(({ woods, made }) => {
      const upright = new Uint8Array(woods.length);
      if (made)
        for (const { grain, places } of made.kinds)
          if (grain === 'upright') for (const place of places) upright[place] = 1;
      return upright;
    }),
  };
}
