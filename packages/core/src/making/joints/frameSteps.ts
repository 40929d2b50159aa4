import { fromDegrees } from '../../measure/quantity.js';
import { say, sayRad } from '../../measure/said.js';
import type { CautionId } from '../../settings/cautions.js';
import { plugSteps } from '../plug.js';
import { GLUE_LEANING, GLUE_RING, setTheSaw } from '../segments.js';
import { numbered, type Step, step } from '../step.js';
import type { StripStock } from '../stock.js';
import { gapIn, spacersIn } from './between.js';
import type { Frame } from './frame.js';
import type { Leaning } from './lean.js';
import { FIT_WITH_SPACERS, GLUE_SPACERS, glueOpen, glueRuns, planeSpacers } from './steps.js';

/** How pieces come off a strip, as it is told at the saw. */
export const HOW: Readonly<Record<Leaning['cut'], string>> = {
  'two-fences': 'between two fences, never turning the strip over',
  'same-edge': 'the same edge out every time',
  'turned-over': 'turning the strip over between cuts',
};

/** Sawing so many segments of one width; `how` where it is not as the joints alone would have it. */
export function sawSegments(
  { framing: { lean } }: Frame,
  stock: StripStock,
  pieces: number,
  how?: string,
): Step {
  if (!lean) return setTheSaw(stock, pieces, how);
  const cautions: readonly CautionId[] = ['tilted-blade'];
  return setTheSaw(stock, lean.cut === 'two-fences' ? 2 * pieces : pieces, how ?? HOW[lean.cut], cautions);
}

/** Sawing all segments, width by width; where several come from one piece that is sawn apart later, as many fewer. */
export const sawAll = (frame: Frame, how?: string, each = 1): Step[] =>
  frame.segments.map(({ stock, places }, i) => {
    const saw = sawSegments(frame, stock, places.length / each, how);
    return frame.segments.length > 1 ? numbered(saw, i + 1) : saw;
  });

/** Bringing the sawn segments into their order. */
export function arranging({ framing, segments }: Frame): Step[] {
  const { count, lean } = framing;
  if (segments.length > 1) {
    const widest = Math.max(...segments.map(({ stock }) => stock.cutAngle));
    return [
      step(
        'order',
        'bench',
        say`Lay them out in their order before gluing; the widest takes ${sayRad(2 * widest)}.`,
      ),
    ];
  }
  if (!lean) return [];
  const says =
    lean.cut === 'two-fences'
      ? say`Sort the pieces by hand: ${count} lean ${lean.hand} and make this ring, ${count} lean the other way and make its mirror image.`
      : lean.cut === 'same-edge'
        ? say`All ${count} pieces lean ${lean.hand}.`
        : 'Lay them alternately upside down: wide face up, wide face down.';
  return [step('sort', 'bench', says)];
}

/** Gluing segments and what lies between them; a plug last. */
export function joining({ framing, jointed }: Frame): Step[] {
  const { count, lean, between, plug } = framing;
  const spacers = jointed ? [planeSpacers(jointed, fromDegrees(lean?.tiltDeg ?? 0))] : [];
  const glue = lean ? GLUE_LEANING : spacersIn(between) ? GLUE_SPACERS : GLUE_RING;
  const glued =
    between?.put === 'mixed' && gapIn(between)
      ? glueRuns(count)
      : gapIn(between)
        ? glueOpen(count)
        : [...(jointed ? [FIT_WITH_SPACERS] : []), glue];
  return [...spacers, ...glued, ...plugSteps(plug)];
}
