import { radiusAt } from '../form/curve.js';
import { insideAt } from '../form/vessel.js';
import { wallMarks } from '../inlay/wallMarks.js';
import { bandOwner, type Owner, ringOwner } from '../ring/owner.js';
import { courseAt } from '../ring/reach.js';
import { bandWoods, regionAt } from '../ring/slant.js';
import { meets } from '../surface/meets.js';
import type { SampledCuts, SampledRing } from '../surface/sampleRow.js';
import type { Standing } from '../surface/standing.js';
import type { Prepared } from './prepare.js';

/** The rings of a piece as its walls are sampled from them. */
export const sampledRings = ({ rings }: Pick<Prepared, 'rings'>): SampledRing[] =>
  rings.map(({ made, turn, course }) => ({
    made: made.ok ? made.value : null,
    turn,
    bottomMm: course.bottomMm,
    topMm: course.topMm,
  }));

/** Its slanted cuts and bands, and what is let into its outside: numbered behind the rings and the bands. */
export const sampledCuts = ({ rings, cuts, bands, inlays }: Prepared): SampledCuts => ({
  cuts,
  marks: inlays.flatMap(({ inlay, placed }, i) =>
    placed.ok ? wallMarks(inlay, placed.value, rings.length + bands.length + i) : [],
  ),
  bands: bands.map(({ made, turn, bottomMm }) => ({
    made,
    turn,
    bottomMm,
    topMm: bottomMm + made.heightMm,
  })),
});

/** A ring, or a band, with the heights of the piece between which it lies, for drawing it. */
export interface Drawn extends Standing {
  readonly owner: Owner;
  /** Number under which drawings count it: rings from the bottom, then bands. */
  readonly index: number;
  readonly fromMm: number;
  readonly toMm: number;
  /** Palette key of every place. */
  readonly woods: readonly string[];
}

/** All rings and bands of a piece that can be made and lie in it. */
export function drawnOf({ rings, cuts, bands, vessel }: Prepared): Drawn[] {
  const between = (reaches: readonly { readonly fromMm: number; readonly toMm: number }[]) => ({
    fromMm: Math.min(...reaches.map(({ fromMm }) => fromMm)),
    toMm: Math.min(vessel.heightMm, Math.max(...reaches.map(({ toMm }) => toMm))),
  });
  const through = cuts.length > 0 ? { cuts } : {};
  const drawn = rings.flatMap(({ ring, made, turn, course, reaches }, index): Drawn[] =>
    made.ok && reaches.length > 0
      ? [
          {
            owner: ringOwner(ring.id),
            index,
            made: made.value,
            turn,
            bottomMm: course.bottomMm,
            ...through,
            ...between(reaches),
            woods: ring.woods,
          },
        ]
      : [],
  );
  const glued = bands.flatMap(({ slant, made, turn, bottomMm, reaches }, band): Drawn[] =>
    reaches.length > 0
      ? [
          {
            owner: bandOwner(slant.id),
            index: rings.length + band,
            band,
            made,
            turn,
            bottomMm,
            ...through,
            ...between(reaches),
            woods: bandWoods(slant),
          },
        ]
      : [],
  );
  return [...drawn, ...glued].filter(({ fromMm, toMm }) => fromMm < toMm);
}

/** What every ring, every band behind the rings, and every inlay behind these shows: the palette keys of its places. */
export const shownOn = ({ rings, bands, inlays }: Pick<Prepared, 'rings' | 'bands' | 'inlays'>) => [
  ...rings.map(({ ring, made }) => ({ woods: ring.woods, made: made.ok ? made.value : null })),
  ...bands.map(({ slant, made }) => ({ woods: bandWoods(slant), made })),
  ...inlays.map(({ inlay: { wood, seam } }) => ({ woods: seam ? [wood, seam.wood] : [wood], made: null })),
];

/** Whose a number of drawings is. */
export const drawnOwner = (
  { rings, bands }: Pick<Prepared, 'rings' | 'bands'>,
  number: number,
): Owner | null => {
  const ring = rings[number];
  const band = bands[number - rings.length];
  return ring ? ringOwner(ring.ring.id) : band ? bandOwner(band.slant.id) : null;
};

/** A ring, or a band behind the rings, by the number under which drawings count it, and one of its places. */
export interface MetPlace {
  readonly ring: number;
  readonly place: number;
}

/** What is met on a turned wall in a direction from the index mark (radians) at a height of the piece; null in air. */
export function placeOnWall(
  { vessel, rings, cuts, bands }: Prepared,
  side: 'outside' | 'inside',
  direction: number,
  z: number,
): MetPlace | null {
  const radius = side === 'outside' ? radiusAt(vessel.outside, z) : (insideAt(vessel, z) ?? 0);
  const p = { x: radius * Math.cos(direction), y: radius * Math.sin(direction), z };
  const { band, shift } = regionAt(cuts, p);
  const was = z - shift.z;
  if (band !== null) {
    const here = bands[band];
    return here
      ? { ring: rings.length + band, place: placeIn(here, p.x - shift.x, p.y - shift.y, was) }
      : null;
  }
  const course = courseAt(
    rings.map(({ course }) => course),
    was,
  );
  const here = course && rings[course.index];
  if (!here?.made.ok) return null;
  const up = was - here.course.bottomMm;
  const place = meets(here.made.value, ...unturned(here.turn, p.x - shift.x, p.y - shift.y), up);
  return place === null ? null : { ring: here.course.index, place };
}

/** A point as a ring that is turned sees it. */
function unturned(turn: number, x: number, y: number): [number, number] {
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return [x * cos + y * sin, y * cos - x * sin];
}

/** Which piece of a band holds a point, taken back to where the band was glued in. */
const placeIn = ({ made, turn, bottomMm }: Prepared['bands'][number], x: number, y: number, z: number) =>
  made.placeAt(...unturned(turn, x, y), z - bottomMm) ?? 0;
