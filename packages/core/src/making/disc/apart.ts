import type { z } from 'zod';
import { length } from '../../measure/field.js';
import { mm } from '../../measure/quantity.js';
import { say, sayMm } from '../../measure/said.js';
import type { RingNeed } from '../../ring/need.js';
import { type GluedUp, gluedUp, slicedSchema, thickHeight } from '../segmented/after.js';
import type { Step } from '../step.js';
import type { Apart, DiscSize } from './contract.js';
import { sharedBoard } from './scribed.js';

/** The thick disc that this one is a slice of. */
export const slicedDiscSchema = slicedSchema.extend({
  /** Thickness of the board that there is for the disc; left out, it is as thick as its slices take. */
  boardMm: length('Board', 2, 300).optional(),
  /** Diameter of a pin through the middle of every slice; left out, none is drilled. */
  pinMm: length('Pin', 1, 25).optional(),
});

export type SlicedDisc = z.infer<typeof slicedDiscSchema>;

/** What is glued up for a disc that is sawn apart. */
export interface ThickDisc {
  readonly size: DiscSize & { readonly apart: Apart };
  /** As high as its slices take. */
  readonly glued: GluedUp;
  /** As high as the board that it is sawn from. */
  readonly sawn: GluedUp;
}

/** What is glued up for the slices of a disc, on a board of its own or scribed on one no longer than `longestMm`. */
export function thickDisc(after: SlicedDisc, need: RingNeed, longestMm: number | null): ThickDisc {
  const { kerfMm, cleanUpMm, boardMm = 0, pinMm = null } = after;
  const glued = gluedUp(after, need);
  const { heightsMm, index } = glued;
  const shared = longestMm === null ? null : sharedBoard(need, longestMm);
  const others = (shared?.sections ?? []).map((section) =>
    thickHeight(
      section.map(({ heightMm }) => heightMm),
      kerfMm,
      cleanUpMm,
    ),
  );
  const heightMm = mm(Math.max(boardMm, glued.need.heightMm, ...others));
  return {
    size: {
      outerRadiusMm: glued.need.outerRadiusMm,
      heightMm,
      apart: { slices: heightsMm.length, index, kerfMm, cutsMm: cutsOf(after, heightsMm), pinMm, shared },
    },
    glued,
    sawn: { ...glued, need: { ...glued.need, heightMm } },
  };
}

/** Heights of the middles of the cuts between slices, the first slice lowest; half of what is cleaned up comes off below it. */
function cutsOf({ kerfMm, cleanUpMm }: SlicedDisc, heightsMm: readonly number[]): number[] {
  let low = cleanUpMm / 2;
  return heightsMm.slice(0, -1).map((height) => {
    low += height + kerfMm;
    return low - kerfMm / 2;
  });
}

/** The steps to a disc that is sliced, with the hole for its pin. */
export function pinned(steps: readonly Step[], pinMm: number | undefined): Step[] {
  if (pinMm === undefined) return [...steps];
  const last = steps.at(-1)!;
  const says = say`${last.says} Before it is sliced drill a hole of ${sayMm(pinMm, 'diameter')} square through its middle, for the pin that keeps the slices over each other: it is turned away with the hollow.`;
  return [
    ...steps.slice(0, -1),
    { ...last, says, cautions: [...new Set([...last.cautions, 'drill' as const])] },
  ];
}
