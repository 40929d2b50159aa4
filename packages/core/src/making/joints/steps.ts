import { say, sayList, sayMade, sayMm, sayRad } from '../../measure/said.js';
import { SAME_SETTING } from '../../measure/tolerance.js';
import { type Step, step } from '../step.js';
import type { PanelStock } from '../stock.js';
import type { Jointed } from './jointed.js';

/** Planing the spacers of a ring: where they lean their edges are bevelled with the ring; between staves they are of the size `standing`. */
export function planeSpacers({ strips, stripStock }: Jointed, tau = 0, standing?: PanelStock): Step {
  const layers = Math.max(...strips.map(({ layer }) => layer + 1));
  const distinct: number[] = [];
  for (const { thicknessMm: s } of strips)
    if (!distinct.some((other) => Math.abs(other - s) < SAME_SETTING)) distinct.push(s);
  const sizes = distinct.map((s) => sayMm(s, 'thickness'));
  const { longEdgeMm, thicknessMm } = stripStock(0);
  const number = strips.length / layers;
  const glued =
    layers === 1
      ? ''
      : say`; glue ${layers} layers face to face into each spacer, in the order of the list, before they are cut to length`;
  const high =
    tau === 0
      ? ''
      : say` and ${sayMm(thicknessMm, 'width')} high, and bevel their top and bottom edges by ${sayRad(tau)} when the ring is sanded`;
  const cut = standing
    ? say`${sayMm(standing.lengthMm, 'length')} long and ${sayMm(standing.widthMm, 'width')} wide`
    : say`${sayMm(longEdgeMm, 'length')} long${high}`;
  return step(
    'spacers',
    'planer',
    say`Plane ${layers === 1 ? '' : 'strips for '}${sayMade(number)} spacers to ${sayList(sizes, ' and ')}, grain along their length, each ${cut}${glued}.`,
    ['thin-stock', 'dust'],
  );
}

export const FIT_WITH_SPACERS: Step = step(
  'dry-fit',
  'bench',
  'Dry-fit the ring with every spacer in it; a ring that closes without its spacers does not close with them.',
);

export const GLUE_SPACERS: Step = step(
  'glue',
  'clamps',
  'Glue segments and spacers together; keep the spacers square to the face.',
);

const MEASURE: Step = step(
  'measure',
  'bench',
  'Check that all pieces are of one thickness: an open ring cannot be flattened once it is glued.',
);

const CLEAN: Step = step(
  'clean',
  'bench',
  'Clean glue out of the gaps and finish the holes before turning, or they are sanded twice.',
  ['open-work'],
);

/** Segments with gaps between them, one by one. */
export const glueOpen = (count: number): Step[] => [
  MEASURE,
  step(
    'glue',
    'clamps',
    say`Glue them one by one on the ring below with an indexed jig, ${sayRad((2 * Math.PI) / count, 'turn')} apart, half a pitch from the ring below.`,
  ),
  CLEAN,
];

/** Segments with gaps in some joints: what lies between two gaps is glued up first. */
export const glueRuns = (count: number): Step[] => [
  MEASURE,
  step(
    'runs',
    'clamps',
    'Glue up what lies between two gaps, segments and spacers, over a drawing of the ring; a single segment stays as it is.',
  ),
  step(
    'glue',
    'clamps',
    say`Glue these runs one by one on the ring below with an indexed jig; segments lie ${sayRad((2 * Math.PI) / count, 'turn')} apart, half a pitch from those of the ring below.`,
  ),
  CLEAN,
];
