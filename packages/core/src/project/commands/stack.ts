import { vesselOf } from '../../form/vessel.js';
import { begun, bodyOf, isShell, isSolid, type RingMaking, segmentsOf } from '../../making/registry.js';
import { mm } from '../../measure/quantity.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import { bondOf, turnIn } from '../../ring/bond.js';
import { cutOf, liftOf } from '../../ring/slant.js';
import { courses, stackHeight } from '../../ring/stack.js';
import { MOST_RINGS, type Project, type Ring } from '../schema.js';
import { heightOf } from '../sizing.js';

/** An id that no ring of the piece has. */
export function freshId(rings: readonly { readonly id: string }[]): string {
  const taken = new Set(rings.map((ring) => ring.id));
  for (let n = rings.length + 1; ; n++) if (!taken.has(`r${n}`)) return `r${n}`;
}

/**
 * A ring made the same way; what was measured of the one is not true of the other. Of a ring from the stash there is only
 * one: its copy is made anew.
 */
export function copyOf({ measured: _, locked: __, ...ring }: Ring, change: Partial<Ring>): Ring {
  const making = ring.making.way === 'stock' ? ring.making.of : ring.making;
  return { ...ring, woods: [...ring.woods], making: { ...making }, ...change };
}

/** Heights of a project's rings in the stack, and where they stand. */
export const stackOf = (rings: readonly Ring[]) => courses(rings.map(heightOf));

/** The turn that goes on with the bond of the rings below. */
export function nextTurn(rings: readonly Ring[]): number {
  const bond = bondOf(rings.slice(-4).map(({ turn }) => turn));
  const top = rings[rings.length - 1]!.turn;
  if (!bond) return top === 0 ? 0.5 : 0;
  return bond.kind === 'spiral' ? (top + bond.step) % 1 : turnIn(bond, top === 0 ? 1 : 0);
}

/** The top ring once more, going on with the bond. */
export function anotherOnTop(project: Project): void {
  const top = project.rings[project.rings.length - 1]!;
  project.rings.push(copyOf(top, { id: freshId(project.rings), turn: nextTurn(project.rings) }));
}

/** How much of a piece's height its slanted bands make up, mm: its rings make up the rest. */
export const liftOfBands = ({ slants = [] }: Pick<Project, 'slants'>): number => liftOf(slants.map(cutOf));

/**
 * Adds copies of the top ring until the stack reaches the form, and takes away rings that stand wholly above it; a shell on top goes
 * as high as the form. Says in one sentence what it did; undefined when the stack fits already.
 */
export function fitStack(project: Project): string | undefined {
  const vessel = vesselOf(project.form);
  if (!vessel.ok) return undefined;
  const heightMm = vessel.value.heightMm - liftOfBands(project);
  const before = project.rings.length;
  const kept = stackOf(project.rings).filter((course) => course.bottomMm < heightMm - SAME_LENGTH).length;
  project.rings.length = Math.max(1, kept);
  letShellReach(project.rings, heightMm);
  const reach = () => stackHeight(project.rings.map(heightOf));
  while (reach() < heightMm - SAME_LENGTH && project.rings.length < MOST_RINGS) anotherOnTop(project);
  const change = project.rings.length - before;
  if (change === 0) return undefined;
  const rings = `${Math.abs(change)} ${Math.abs(change) === 1 ? 'ring' : 'rings'}`;
  return change > 0
    ? `${rings} added on top so that the stack reaches the lip.`
    : `${rings} above the lip taken away.`;
}

/** A shell that is the top of a stack ends where the form does, unless it is locked or made. */
function letShellReach(rings: readonly Ring[], heightMm: number): void {
  const top = rings[rings.length - 1]!;
  if (!isShell(top.making) || top.locked || top.cut || top.measured?.heightMm !== undefined) return;
  const below = stackHeight(rings.slice(0, -1).map(heightOf));
  top.heightMm = mm(heightMm - below);
}

/** Woods for another number of places: the colours keep their share of the circle. */
export const spread = (woods: readonly string[], places: number): string[] =>
  Array.from({ length: places }, (_, i) => woods[Math.floor(((i + 0.5) * woods.length) / places)]!);

/** Segments of a ring that is made like none. */
export const USUAL_SEGMENTS = 12;

/** The nearest ring for which something holds; undefined where there is none. */
function nearestRing(
  rings: readonly Ring[],
  index: number,
  holds: (ring: Ring) => boolean,
): Ring | undefined {
  return rings
    .map((ring, i) => ({ ring, away: Math.abs(i - index) }))
    .filter(({ ring }) => holds(ring))
    .sort((a, b) => a.away - b.away)[0]?.ring;
}

/** How the nearest ring with a hole is made, if another can be made just like it; 12 equal segments where there is none. */
export function segmentedLike(rings: readonly Ring[], index: number): RingMaking {
  const near = nearestRing(
    rings,
    index,
    ({ making }) => !isSolid(making) && !isShell(making) && bodyOf(making) === null && making.way !== 'stock',
  );
  return near ? plain(near.making) : usualSegments(USUAL_SEGMENTS);
}

/** Segments of a ring, else of the nearest that has any. */
export const segmentsNear = (rings: readonly Ring[], index: number): number =>
  segmentsOf(rings[index]!.making) ??
  segmentsOf(
    nearestRing(rings, index, ({ making }) => segmentsOf(making) !== null)?.making ??
      usualSegments(USUAL_SEGMENTS),
  )!;

/** The usual ring: flat segments, all equal. */
export const usualSegments = (segments: number): RingMaking => begun('flat', { segments, body: '' })!;

/** The usual shell, for a piece that is one. */
export const usualShell = (): RingMaking => begun('globe', { segments: 1, body: '' })!;

/** The usual solid ring. */
export const usualSolid = (): RingMaking => begun('disc', { segments: 1, body: '' })!;

/** A copy that is no draft. */
const plain = (making: RingMaking): RingMaking => JSON.parse(JSON.stringify(making)) as RingMaking;
