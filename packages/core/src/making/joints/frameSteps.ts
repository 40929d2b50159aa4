import { fromDegrees } from '../../measure/quantity.js';
import { say, sayRad } from '../../measure/said.js';
import type { CautionId } from '../../settings/cautions.js';
import { groupsBetween } from '../halves/groups.js';
import { joiningHalves } from '../halves/steps.js';
import type { Planing } from '../planing.js';
import { plugSteps } from '../plug.js';
import { GLUE_LEANING, GLUE_RING, planeAndRip, setTheSaw } from '../segments.js';
import { bevelling, cuttingStaves, glueStaves } from '../staves/steps.js';
import { betweenOf, staveOf } from '../staves/stock.js';
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

/** Planing and ripping what segments are sawn off: strips, or of staves boards, which may be glued up in layers already. */
export function ripSegments(frame: Frame, planing: Planing): Step {
  const { framing, segments } = frame;
  return framing.staves ? cutStaves(frame, false) : planeAndRip(segments[0]!.stock, planing);
}

/** Cutting staves to length and width. */
export const cutStaves = (frame: Frame, layered: boolean): Step =>
  cuttingStaves(
    frame.segments.map(({ stock, places }) => ({ stock: staveOf(stock, frame), pieces: places.length })),
    frame.faces,
    layered,
  );

/** Sawing so many segments of one width; `how` where it is not as the joints alone would have it. */
export function sawSegments(frame: Frame, stock: StripStock, pieces: number, how?: string): Step {
  const { lean, staves } = frame.framing;
  if (staves) return bevelling(staveOf(stock, frame));
  if (!lean) return setTheSaw(stock, pieces, how);
  const cautions: readonly CautionId[] = ['tilted-blade'];
  return setTheSaw(stock, lean.cut === 'two-fences' ? 2 * pieces : pieces, how ?? HOW[lean.cut], cautions);
}

/** Ripping strips and sawing all segments off them: one width of strips for all, or half by half where halves differ. */
export function ripAndSaw(frame: Frame, planing: Planing, how?: string): Step[] {
  const { segments, framing } = frame;
  if (!framing.inHalves || segments.length === 1) return [ripSegments(frame, planing), ...sawAll(frame, how)];
  return segments.flatMap(({ stock, places }, i) =>
    [planeAndRip(stock, planing), sawSegments(frame, stock, places.length, how)].map((each) =>
      numbered(each, i + 1),
    ),
  );
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
  if (segments.length > 1 && !framing.inHalves) {
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
export function joining(frame: Frame): Step[] {
  const { framing, jointed } = frame;
  const { count, lean, between, plug, staves, inHalves } = framing;
  if (inHalves)
    return [...joiningHalves(inHalves, groupsBetween(count, inHalves).length > 0), ...plugSteps(plug)];
  const standing = staves && jointed ? betweenOf(jointed.stripStock(0), frame) : undefined;
  const spacers = jointed ? [planeSpacers(jointed, fromDegrees(lean?.tiltDeg ?? 0), standing)] : [];
  if (staves)
    return [
      ...spacers,
      ...(jointed ? [FIT_WITH_SPACERS] : []),
      glueStaves(jointed !== null),
      ...plugSteps(plug),
    ];
  const glue = lean ? GLUE_LEANING : spacersIn(between) ? GLUE_SPACERS : GLUE_RING;
  const glued =
    between?.put === 'mixed' && gapIn(between)
      ? glueRuns(count)
      : gapIn(between)
        ? glueOpen(count)
        : [...(jointed ? [FIT_WITH_SPACERS] : []), glue];
  return [...spacers, ...glued, ...plugSteps(plug)];
}
