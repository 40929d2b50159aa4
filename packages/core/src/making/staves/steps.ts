import { rad } from '../../measure/quantity.js';
import { say, sayList, sayMade, sayMm, sayRad } from '../../measure/said.js';
import type { StepPicture } from '../picture.js';
import { type Step, step } from '../step.js';
import type { PanelStock } from '../stock.js';
import type { Faces } from '../wedge.js';

/** Staves of one width: what they are sawn from, and how many there are. */
export interface StaveSort {
  readonly stock: PanelStock;
  readonly pieces: number;
}

/** Cutting staves to length and width, out of boards that are planed for them or glued up in layers before. */
export function cuttingStaves(sorts: readonly StaveSort[], { lean }: Faces, layered: boolean): Step {
  const { lengthMm, thicknessMm } = sorts[0]!.stock;
  const widths = sorts.map(({ stock, pieces }) =>
    sorts.length === 1
      ? sayMm(stock.widthMm, 'width')
      : say`${sayMade(pieces)} of them ${sayMm(stock.widthMm, 'width')}`,
  );
  const ends =
    lean === 0
      ? ''
      : say`, both ends bevelled alike by ${sayRad(rad(Math.abs(Math.atan(lean))), 'blade-tilt')}`;
  return step(
    'staves',
    'planer',
    say`${layered ? 'Cut' : say`Plane boards to ${sayMm(thicknessMm, 'thickness')} and cut`} ${sayMade(sorts.reduce((sum, { pieces }) => sum + pieces, 0))} staves ${sayMm(lengthMm, 'length')} long with the grain upright${ends}, ${sayList(widths, ' and ')} wide.`,
    ['trapped-offcut', 'dust'],
  );
}

/** Gluing boards of these thicknesses face to face, the outermost first, that staves are cut out of. */
export const layeredBoards = (layers: readonly number[]): Step =>
  step(
    'board',
    'planer',
    say`Plane boards to ${sayList(
      layers.map((thick) => sayMm(thick, 'thickness')),
      ' and ',
    )} and glue them face to face in this order, outermost first, grain the same way, into boards ${sayMm(layers.reduce((sum, thick) => sum + thick, 0))} thick.`,
    ['dust'],
  );

/** Bevelling the edges of staves; of such that lean they taper. */
export const bevelling = ({ mitre, bladeTilt, widthMm, narrowMm }: PanelStock): Step =>
  step(
    'bevel',
    'saw',
    mitre
      ? say`Taper each edge by ${sayRad(mitre, 'cut-angle')} from the grain, from ${sayMm(widthMm)} to ${sayMm(narrowMm!)}, with the blade tilted to ${sayRad(bladeTilt!, 'blade-tilt')}.`
      : say`Tilt the blade to ${sayRad(bladeTilt!, 'blade-tilt')} and bevel both edges.`,
    ['tapers', 'dust'],
  );

/** Gluing staves into a ring. */
export const glueStaves = (spaced: boolean): Step =>
  step(
    'glue',
    'clamps',
    say`Tape them side by side, outside up${spaced ? ', a spacer at every joint that has one' : ''}, roll them up, check the last joint, then glue. Upright grain does not move along its length as that of flat rings does: keep the glued width small.`,
  );

/** What steps of segments that lie flat are where they stand as staves. */
const INSTEAD: Readonly<Record<string, string>> = { rip: 'staves', saw: 'bevel', 'saw-1': 'bevel-1' };

/** A picture of how segments are sawn and glued, with the step that it shows of staves. */
export const ofStaves = (picture: StepPicture): StepPicture => ({
  ...picture,
  step: INSTEAD[picture.step] ?? picture.step,
});
