import { extremes } from '../form/curve.js';
import { sampling } from '../surface/sample.js';
import type { Species } from '../wood/species.js';
import type { Prepared } from './prepare.js';
import { sampledCuts, sampledRings, shownOn } from './standing.js';

/** A small picture: four bytes a point (red, green, blue, opacity), rows from the top. */
export interface SmallPicture {
  readonly width: number;
  readonly height: number;
  readonly rgba: Uint8Array;
}

/** Turned a little, so that no joint stands on the axis (rad). */
const VIEW = 0.35;
/** Columns round the whole piece for one pixel across the half that is seen: as fine as the middle of it asks, nearly. */
const FINER = 2.4;
const JOINT = 0.74;
/** Light falls from the upper left: how bright the middle is, and how much is lost toward the edges. */
const LIGHT = { at: -0.35, least: 0.58 } as const;

/**
 * The outside of a piece from the front, `most` pixels in its larger direction, every place in its wood's colour: drawn
 * from which place is at a point, as all drawings are.
 */
export function elevationPicture(
  prepared: Prepared,
  palette: ReadonlyMap<string, Species>,
  most: number,
): SmallPicture {
  const { vessel } = prepared;
  const widest = extremes(vessel.outside, 0, vessel.heightMm).most;
  const scale = most / Math.max(vessel.heightMm, 2 * widest);
  const [width, height] = [2 * widest, vessel.heightMm].map((mm) => Math.max(1, Math.round(mm * scale)));
  const columns = Math.ceil(width! * FINER);
  const { wall, shown } = colouredWall(prepared, palette, columns, height!);
  const rgba = new Uint8Array(4 * width! * height!);
  for (let y = 0; y < height!; y++) {
    const radius = wall.radius[y]! * scale;
    let before = -1;
    for (let x = 0; x < width!; x++) {
      const across = (x + 0.5 - width! / 2) / radius;
      if (Math.abs(across) >= 1) continue;
      const turns = (VIEW + Math.asin(across)) / (2 * Math.PI) + 1;
      const at = y * columns + (Math.floor(turns * columns) % columns);
      const [ring, place] = [wall.ring[at]!, wall.place[at]!];
      const colour = place < 0 ? undefined : shown[ring]?.[place];
      if (!colour) continue;
      const here = ring * 4096 + place;
      const above = y > 0 ? wall.ring[at - columns]! : ring;
      const light = lightAt(across) * ((before >= 0 && before !== here) || above !== ring ? JOINT : 1);
      before = here;
      const to = 4 * (y * width! + x);
      for (let c = 0; c < 3; c++) rgba[to + c] = Math.round(colour[c]! * light);
      rgba[to + 3] = 255;
    }
  }
  return { width: width!, height: height!, rgba };
}

/** The outside sampled, and the colour of every place of what it shows. */
function colouredWall(
  prepared: Prepared,
  palette: ReadonlyMap<string, Species>,
  columns: number,
  rows: number,
) {
  const work = sampling(
    prepared.vessel,
    sampledRings(prepared),
    'outside',
    { columns, rows },
    sampledCuts(prepared),
  );
  let step = work.next();
  while (!step.done) step = work.next();
  const colours = new Map([...palette].map(([key, { colour }]) => [key, channels(colour)]));
  return {
    wall: step.value,
    shown: shownOn(prepared).map(({ woods }) => woods.map((key) => colours.get(key))),
  };
}

/** The whole outside laid flat, joints drawn, and the radius of every row, mm; rows from the top. */
export function flatPicture(
  prepared: Prepared,
  palette: ReadonlyMap<string, Species>,
  columns: number,
  rows: number,
): SmallPicture & { readonly radiiMm: readonly number[] } {
  const { wall, shown } = colouredWall(prepared, palette, columns, rows);
  const rgba = new Uint8Array(4 * columns * rows);
  for (let y = 0; y < rows; y++)
    for (let x = 0; x < columns; x++) {
      const at = y * columns + x;
      const [ring, place] = [wall.ring[at]!, wall.place[at]!];
      const colour = place < 0 ? undefined : shown[ring]?.[place];
      if (!colour) continue;
      const beside = y * columns + ((x + 1) % columns);
      const joint =
        wall.ring[beside] !== ring ||
        wall.place[beside] !== place ||
        (y > 0 && wall.ring[at - columns] !== ring);
      for (let c = 0; c < 3; c++) rgba[4 * at + c] = Math.round(colour[c]! * (joint ? JOINT : 1));
      rgba[4 * at + 3] = 255;
    }
  return { width: columns, height: rows, rgba, radiiMm: Array.from(wall.radius.subarray(0, rows)) };
}

const lightAt = (across: number): number =>
  LIGHT.least + (1 - LIGHT.least) * Math.sqrt(Math.max(0, 1 - ((across - LIGHT.at) / (1 - LIGHT.at)) ** 2));

const channels = (colour: string): readonly number[] =>
  [1, 3, 5].map((at) => Number.parseInt(colour.slice(at, at + 2), 16));
