import { converter } from 'culori';
import { difference, type LabColour } from '../wood/colour.js';
import { type Hanging, meanLight, type Raster, type Seer, seers } from './raster.js';
import type { Spot, Wall } from './reach.js';

const toLab = converter('lab65');

/** A wood that a picture may be laid in. */
export interface Ink {
  readonly key: string;
  readonly colour: string;
}

type Light = [number, number, number];

const labOfLight = ([r, g, b]: Light): LabColour => toLab({ mode: 'lrgb', r, g, b }) as LabColour;

/** Less of a segment than this is covered by the picture: it stays as it was. */
const COVERED = 0.5;

interface PictureOptions {
  readonly inks: readonly Ink[];
  /** Whether what a wood is off by is made up for by the segments beside it and below it. */
  readonly dither: boolean;
}

/**
 * A picture laid in woods: every segment that sees a part of it gets the wood nearest to that part's mean light
 * (CIEDE2000). With dithering the difference is handed on as Floyd and Steinberg (1976) do: 7/16 to the next segment,
 * 3/16, 5/16 and 1/16 to those of the ring below.
 */
export function pictureInWoods(
  wall: Wall,
  picture: Raster,
  hanging: Hanging,
  { inks, dither }: PictureOptions,
): (Spot & { key: string })[] {
  const nearest = nearestAmong(inks);
  const rows = rowsOf(seers(wall, hanging, picture));
  const owed = new Map<Seer, Light>();
  const laid: (Spot & { key: string })[] = [];
  rows.forEach((row, r) => {
    row.forEach((seer, i) => {
      const { light, cover } = meanLight(picture, seer.frame);
      if (cover < COVERED) return;
      const debt = owed.get(seer) ?? [0, 0, 0];
      const wanted = light.map((value, c) => Math.min(1, Math.max(0, value + debt[c]!))) as Light;
      const { key, light: given } = nearest(wanted);
      laid.push({ ring: seer.ring, place: seer.place, key });
      if (!dither) return;
      const off = wanted.map((value, c) => value - given[c]!) as Light;
      const next = row[i + 1];
      if (next?.copy === seer.copy) hand(owed, next, off, 7 / 16);
      const below = rows[r + 1] ? near(rows[r + 1]!, seer) : null;
      if (below) {
        const [before, at, after] = below;
        if (before) hand(owed, before, off, 3 / 16);
        hand(owed, at, off, 5 / 16);
        if (after) hand(owed, after, off, 1 / 16);
      }
    });
  });
  return laid;
}

function rowsOf(all: readonly Seer[]): Seer[][] {
  const rows = new Map<number, Seer[]>();
  for (const seer of all) rows.set(seer.ring, [...(rows.get(seer.ring) ?? []), seer]);
  return [...rows.values()];
}

/** The segment of the ring below that lies nearest under one, with those before and after it. */
function near(
  row: readonly Seer[],
  { copy, along }: Seer,
): [Seer | undefined, Seer, Seer | undefined] | null {
  const mates = row.filter((other) => other.copy === copy);
  if (mates.length === 0) return null;
  let best = 0;
  mates.forEach((mate, i) => {
    if (Math.abs(mate.along - along) < Math.abs(mates[best]!.along - along)) best = i;
  });
  return [mates[best - 1], mates[best]!, mates[best + 1]];
}

function hand(owed: Map<Seer, Light>, to: Seer, off: Light, share: number): void {
  const debt = owed.get(to) ?? [0, 0, 0];
  owed.set(to, debt.map((value, c) => value + share * off[c]!) as Light);
}

const lightOf = converter('lrgb');

/** Finds the wood that looks nearest to a mean light. */
function nearestAmong(inks: readonly Ink[]): (light: Light) => { key: string; light: Light } {
  const known = inks.map(({ key, colour }) => {
    const { r, g, b } = lightOf(colour)!;
    return { key, light: [r, g, b] as Light, lab: labOfLight([r, g, b]) };
  });
  return (light) => {
    const lab = labOfLight(light);
    let [best, least] = [known[0]!, Number.POSITIVE_INFINITY];
    for (const ink of known) {
      const away = difference(lab, ink.lab);
      if (away < least) [best, least] = [ink, away];
    }
    return best;
  };
}
