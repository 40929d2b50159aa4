import { radiusAt } from '../form/curve.js';
import type { Vessel } from '../form/vessel.js';
import type { SectionPoint } from '../surface/drawing.js';
import type { Copy } from '../surface/marks.js';
import type { Frame } from './frame.js';
import { type Loops, withinLoops } from './outline.js';
import { copiesOf, type InlayLies } from './placed.js';
import type { Inlay } from './schema.js';

/** What a cut through the axis shows of an inlay: place 0 is the insert, 1 the seam (with the insert over it). */
export interface InlayCut {
  readonly place: number;
  readonly outline: readonly SectionPoint[];
}

/** Heights at which the surface is looked at. */
const STATIONS = 160;

/** A point of the surface in the plane that touches at the middle. */
function inFrame({ radiusMm, heightMm, up }: Frame, aside: number, { r, z }: SectionPoint) {
  const x = r * Math.cos(aside) - radiusMm;
  return { u: r * Math.sin(aside), v: x * up.r + (z - heightMm) * up.z };
}

/** What the cut through the axis in a direction (radians from the index mark) shows of all copies of an inlay. */
export function inlayCuts(inlay: Inlay, placed: InlayLies, vessel: Vessel, direction: number): InlayCut[] {
  const { loops } = placed;
  return copiesOf(inlay).flatMap((copy) => {
    const aside = asideOf(copy, direction);
    if (Math.abs(aside) > placed.reach) return [];
    const cut = (of: Loops, place: number) => stretchesOf(inlay, placed, of, vessel, aside, place);
    return inlay.seam ? [...cut(loops.pocket, 1), ...cut(loops.insert, 0)] : cut(loops.insert, 0);
  });
}

/** How far the direction lies to the right of a copy's middle, as the copy itself sees it. */
function asideOf({ toward, mirrored }: Copy, direction: number): number {
  const turns = (direction - toward) / (2 * Math.PI);
  const aside = (turns - Math.round(turns)) * 2 * Math.PI;
  return mirrored ? -aside : aside;
}

function stretchesOf(
  { depthMm }: Inlay,
  { frame, fromMm, toMm }: InlayLies,
  loops: Loops,
  { outside }: Vessel,
  aside: number,
  place: number,
): InlayCut[] {
  const { radiusMm, heightMm, up, out } = frame;
  const floor = (v: number): SectionPoint => ({
    r: (radiusMm + v * up.r - depthMm * out.r) / Math.cos(aside),
    z: heightMm + v * up.z - depthMm * out.z,
  });
  const cuts: InlayCut[] = [];
  let line: { readonly at: SectionPoint; readonly v: number }[] = [];
  const close = () => {
    if (line.length > 1)
      cuts.push({ place, outline: [...line.map(({ at }) => at), floor(line.at(-1)!.v), floor(line[0]!.v)] });
    line = [];
  };
  for (let i = 0; i <= STATIONS; i++) {
    const z = fromMm + ((toMm - fromMm) * i) / STATIONS;
    const at = { r: radiusAt(outside, z), z };
    const { u, v } = inFrame(frame, aside, at);
    if (withinLoops(loops, u, v)) line.push({ at, v });
    else close();
  }
  close();
  return cuts;
}
