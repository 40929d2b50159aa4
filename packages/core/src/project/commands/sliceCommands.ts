import { solidSomewhere, type Vessel, vesselOf } from '../../form/vessel.js';
import { isShell, isSolid } from '../../making/registry.js';
import { type Mm, mm } from '../../measure/quantity.js';
import { done, type Reason, type Result, refuse } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import { bondOf, turnIn } from '../../ring/bond.js';
import { needOf, wallBand } from '../../ring/need.js';
import { slices, slicesFromBoards, type Thickness } from '../../ring/slicing.js';
import { MOST_RINGS, type Project, type Ring } from '../schema.js';
import { heightOf } from '../sizing.js';
import { madeAs } from './carry.js';
import type { Command } from './command.js';
import { copyOf, freshId, liftOfBands, segmentedLike, stackOf, usualSolid } from './stack.js';

/** Slices the whole form anew into rings of one height, or of these heights from the bottom up, the last one repeated. */
export const sliceBy = (heights: readonly Mm[]): Command => ({
  label: heights.length === 1 ? 'Slice by one height' : 'Slice by hand',
  apply(draft) {
    const short = heights.find((height) => !(height >= 0.5));
    if (heights.length === 0 || short !== undefined) return { reasons: [tooLow(short)] };
    return sliced(draft, (runMm, _, bounded) => done(slices(runMm, heights, bounded)));
  },
});

const tooLow = (height: number | undefined): Reason => ({
  code: 'too_small',
  path: 'heights',
  message: say`A ring height is ${height === undefined ? 'missing' : sayMm(height)}; it has to be at least ${sayMm(0.5)}.`,
});

/** Slices the form into rings from the thicknesses on hand, in the order that takes the least wood. */
export const sliceFromBoards = (stock: readonly Thickness[]): Command => ({
  label: 'Slice by the boards on hand',
  apply(draft) {
    const left = stock.map((thickness) => ({ ...thickness }));
    const { allowances } = draft;
    return sliced(draft, (runMm, fromMm, bounded, vessel) => {
      const wood = (above: number, heightMm: number) => {
        const course = { index: 0, bottomMm: mm(fromMm + above), topMm: mm(fromMm + above + heightMm) };
        const { outerRadiusMm, innerRadiusMm } = needOf(wallBand(vessel, course), course, allowances);
        return (outerRadiusMm ** 2 - innerRadiusMm ** 2) * heightMm;
      };
      const chosen = slicesFromBoards(runMm, left, wood);
      if (!chosen.ok) return chosen;
      for (const height of chosen.value) left.find(({ heightMm }) => heightMm === height)!.rings--;
      return done(bounded ? trimmed(chosen.value, runMm) : chosen.value);
    });
  },
});

/** The last ring planed down so that the stretch is filled and not passed. */
function trimmed(heights: readonly number[], runMm: number): number[] {
  const over = heights.reduce((a, b) => a + b, 0) - runMm;
  return [...heights.slice(0, -1), heights[heights.length - 1]! - over];
}

type Slicer = (runMm: number, fromMm: number, bounded: boolean, vessel: Vessel) => Result<number[]>;

/** Replaces every ring that is not locked; locked ones keep their height and their place. */
function sliced(draft: Project, slicer: Slicer): ReturnType<Command['apply']> {
  const vessel = vesselOf(draft.form);
  if (!vessel.ok) return { reasons: vessel.reasons };
  const made = stretchesBetweenLocked(draft, vessel.value, slicer);
  if (!made.ok) return { reasons: made.reasons };
  if (made.value.length > MOST_RINGS)
    return {
      reasons: [
        {
          code: 'too-many-rings',
          path: 'rings',
          message: say`That makes ${made.value.length} rings; ${MOST_RINGS} are allowed.`,
        },
      ],
    };
  const old = [...draft.rings];
  const bond = bondOf(old.filter(({ woods }) => woods.length > 1).map(({ turn }) => turn));
  const rings: Ring[] = [];
  made.value.forEach(({ ring, fromMm, heightMm }, i) => {
    if (ring) rings.push(ring);
    else {
      const like = made.value.length === old.length ? i : atHeight(old, fromMm + heightMm / 2);
      const solid = solidSomewhere(vessel.value, fromMm, fromMm + heightMm);
      const ids = [...old, ...rings];
      rings.push(reshaped(old, like, solid, { id: freshId(ids), heightMm: mm(heightMm) }));
      if (bond && bond.kind !== 'spiral') rings[i]!.turn = turnIn(bond, i);
      if (bond?.kind === 'spiral' && i > 0) rings[i]!.turn = (rings[i - 1]!.turn + bond.step) % 1;
    }
  });
  draft.rings = rings;
  const kept = rings.filter(({ locked }) => locked).length;
  return { note: say`${rings.length} rings${kept > 0 ? `, ${kept} of them locked and kept` : ''}.` };
}

interface Slot {
  readonly ring: Ring | null;
  readonly fromMm: number;
  readonly heightMm: number;
}

function stretchesBetweenLocked(draft: Project, vessel: Vessel, slicer: Slicer): Result<Slot[]> {
  const slots: Slot[] = [];
  let z = 0;
  const fill = (to: number, bounded: boolean): Result<null> => {
    if (to - z < 1e-6) return done(null);
    const heights = slicer(to - z, z, bounded, vessel);
    if (!heights.ok) return heights;
    if (heights.value.length > MOST_RINGS)
      return refuse(
        'too-many-rings',
        'rings',
        say`That makes more than ${MOST_RINGS} rings; ${MOST_RINGS} are allowed.`,
      );
    for (const heightMm of heights.value) {
      slots.push({ ring: null, fromMm: z, heightMm });
      z += heightMm;
    }
    return done(null);
  };
  for (const { index, bottomMm } of stackOf(draft.rings)) {
    const ring = draft.rings[index]!;
    if (!ring.locked) continue;
    const filled = fill(Math.min(bottomMm, vessel.heightMm), true);
    if (!filled.ok) return filled;
    slots.push({ ring, fromMm: z, heightMm: heightOf(ring) });
    z += heightOf(ring);
  }
  const rest = fill(vessel.heightMm - liftOfBands(draft), false);
  return rest.ok ? done(slots) : rest;
}

/** Index of the ring that holds a height; the top one above the stack. */
function atHeight(rings: readonly Ring[], z: number): number {
  const found = stackOf(rings).findIndex(({ topMm }) => z <= topMm);
  return found < 0 ? rings.length - 1 : found;
}

/** A ring like another, made as a disc where the form is solid and of segments where it is hollow, or where it is a slice of a shell. */
function reshaped(rings: readonly Ring[], like: number, solid: boolean, change: Partial<Ring>): Ring {
  const { fixed: _, ...ring } = copyOf(rings[like]!, change);
  const part = isShell(ring.making) && ring.heightMm < rings[like]!.heightMm - SAME_LENGTH;
  if (!part && isSolid(ring.making) === solid) return ring;
  return madeAs(ring, solid ? usualSolid() : segmentedLike(rings, like));
}
