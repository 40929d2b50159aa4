import type { SectionPoint } from '../../surface/drawing.js';

type Side = readonly [SectionPoint, SectionPoint];

/** The wood that a rod may be drilled into: the surfaces of its half-section that can be near to a height, and where the sawn face is, mm from the axis. */
export interface HalfWood {
  readonly faceMm: number;
  sidesNear(z: number): readonly Side[];
}

/** Lower than this a side of the outline is the foot, which is what is drilled through (mm); its axis is always farther off than the sawn face. */
const LEVEL = 1e-6;
/** Along a rod it is looked at every so often, and rows of rods are told so closely, mm. */
const STEP = 0.25;
/** Sides are kept by heights of so much, mm; and so many rows are tried before the widest is closed in on. */
const BAND = 4;
const ROWS = 64;
/** Times that the last step down a hole is halved: to under a hundredth of a millimetre. */
const HALVINGS = 5;

/**
 * Half of a half-section, sawn `faceMm` from the axis. Only surfaces nearer than `reachMm` are looked at, all of them where it is left out: farther ones do
 * not matter to whom asks for less.
 */
export function halfWood(outline: readonly SectionPoint[], faceMm: number, reachMm = Infinity): HalfWood {
  const all = outline.map((a, i): Side => [a, outline[(i + 1) % outline.length]!]);
  if (reachMm === Infinity) return { faceMm, sidesNear: () => all };
  const kept = new Map<number, readonly Side[]>();
  return {
    faceMm,
    sidesNear(z) {
      const band = Math.floor(z / BAND);
      const known = kept.get(band);
      if (known) return known;
      const [low, high] = [band * BAND - reachMm, (band + 1) * BAND + reachMm];
      const near = all.filter(([a, b]) => Math.max(a.z, b.z) >= low && Math.min(a.z, b.z) <= high);
      kept.set(band, near);
      return near;
    },
  };
}

/** How far a point of a half-section is within its wood, the foot apart; less than nothing where it is not in it (mm). */
export function within({ sidesNear }: Pick<HalfWood, 'sidesNear'>, r: number, z: number): number {
  let least = Infinity;
  let inside = false;
  for (const [a, b] of sidesNear(z)) {
    if (a.z > z !== b.z > z && r < a.r + ((z - a.z) * (b.r - a.r)) / (b.z - a.z)) inside = !inside;
    if (Math.max(a.z, b.z) > LEVEL) least = Math.min(least, fromSide(a, b, r, z));
  }
  return inside ? least : -least;
}

function fromSide(a: SectionPoint, b: SectionPoint, r: number, z: number): number {
  const [dr, dz] = [b.r - a.r, b.z - a.z];
  const square = dr * dr + dz * dz;
  const share = square === 0 ? 0 : Math.min(1, Math.max(0, ((r - a.r) * dr + (z - a.z) * dz) / square));
  return Math.hypot(r - a.r - share * dr, z - a.z - share * dz);
}

/** Rods of a half: how thick, how they lean (degrees), how far in from the sawn face (mm). */
interface Drilled {
  readonly rodMm: number;
  readonly leanDeg: number;
  readonly insetMm: number;
}

export const leanOf = ({ leanDeg }: Pick<Drilled, 'leanDeg'>): number => (leanDeg * Math.PI) / 180;

/**
 * Wood between a hole and the nearest surface but the foot, `along` the rod from where it enters, `aside` the middle of the row (mm): the end of a
 * drill is taken as round as it is thick.
 */
export function woodRound(half: HalfWood, drilled: Drilled, aside: number, along: number): number {
  const lean = leanOf(drilled);
  const x = half.faceMm + drilled.insetMm + along * Math.sin(lean);
  // A hair above the bench, where the outline's own foot is not in the way.
  const z = Math.max(LEVEL * 2, along * Math.cos(lean));
  return Math.min(x - half.faceMm, within(half, Math.hypot(x, aside), z)) - drilled.rodMm / 2;
}

/** The least of it over the whole hole. */
export function leastWood(half: HalfWood, drilled: Drilled, aside: number, deep: number): number {
  const steps = Math.ceil(deep / STEP);
  let least = Infinity;
  for (let i = 0; i <= steps; i++)
    least = Math.min(least, woodRound(half, drilled, aside, (deep * i) / steps));
  return least;
}

/** How deep a hole may be that leaves so much wood all along, `most` at the most; 0 where it cannot even begin (mm). */
export function deepestHole(
  half: HalfWood,
  drilled: Drilled,
  aside: number,
  marginMm: number,
  most = Infinity,
): number {
  const enough = (deep: number) => woodRound(half, drilled, aside, deep) >= marginMm;
  if (!enough(0)) return 0;
  let deep = 0;
  while (deep < most) {
    const next = Math.min(most, deep + STEP);
    if (!enough(next)) return lastOf(enough, deep, next);
    deep = next;
  }
  return deep;
}

/** Up to where something holds that holds at one end of a way and not at the other. */
function lastOf(holds: (at: number) => boolean, from: number, to: number): number {
  let [yes, no] = [from, to];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (yes + no) / 2;
    if (holds(middle)) yes = middle;
    else no = middle;
  }
  return yes;
}

/** Places of rods in a row, from its middle (mm). */
export const rowOf = (rods: number, spacingMm: number): number[] =>
  Array.from({ length: rods }, (_, i) => (i - (rods - 1) / 2) * spacingMm);

/**
 * How far apart rods may be and all leave as much wood as is wanted so deep down (mm, to a quarter); where none are deep enough how far apart they are where they
 * may be deepest; null where they do not go side by side into the foot.
 */
export function widestRow(
  half: HalfWood,
  given: Drilled & { readonly rods: number; readonly marginMm: number },
  footMm: number,
  deep: number,
): number | null {
  const { rods, rodMm, marginMm } = given;
  if (rods === 1) return 0;
  // A row is the same on both sides of its middle.
  const asides = (spacing: number) => rowOf(rods, spacing).filter((aside) => aside >= 0);
  const deepest = (spacing: number) =>
    Math.min(...asides(spacing).map((aside) => deepestHole(half, given, aside, marginMm)));
  const isDeep = (spacing: number) =>
    asides(spacing).every((aside) => deepestHole(half, given, aside, marginMm, deep) >= deep);
  const most = Math.floor((2 * footMm) / (rods - 1) / STEP) * STEP;
  const coarse = Math.max(STEP, Math.ceil(most / ROWS / STEP) * STEP);
  let best: { readonly spacing: number; readonly deep: number } | null = null;
  // Neighbours keep the margin from each other too.
  for (let wide = most; wide >= rodMm + marginMm; wide -= coarse) {
    if (isDeep(wide)) {
      let spacing = wide;
      while (spacing + STEP < wide + coarse && isDeep(spacing + STEP)) spacing += STEP;
      return spacing;
    }
    const here = deepest(wide);
    if (here > (best?.deep ?? 0)) best = { spacing: wide, deep: here };
  }
  return best?.spacing ?? null;
}

/** Height of the centre of gravity of a turned piece by its half-section: ∮r²z dz over ∮r² dz (Green's theorem). */
export function centreHeight(outline: readonly SectionPoint[]): number {
  let [volume, moment] = [0, 0];
  outline.forEach((a, i) => {
    const b = outline[(i + 1) % outline.length]!;
    const middle = { r: (a.r + b.r) / 2, z: (a.z + b.z) / 2 };
    const simpson = (of: (p: SectionPoint) => number) => ((b.z - a.z) * (of(a) + 4 * of(middle) + of(b))) / 6;
    volume += simpson(({ r }) => r * r);
    moment += simpson(({ r, z }) => r * r * z);
  });
  return moment / volume;
}
