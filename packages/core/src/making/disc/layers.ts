import { z } from 'zod';
import { length } from '../../measure/field.js';
import { mm, rad, TURN } from '../../measure/quantity.js';
import { done } from '../../measure/reason.js';
import { say, sayList, sayMm } from '../../measure/said.js';
import { SAME_LENGTH } from '../../measure/tolerance.js';
import { bordersOf, layerNames, MOST_LAYERS, nothingOnTop, thinnedTo } from '../layered/params.js';
import { step } from '../step.js';
import type { DiscSource } from './contract.js';
import { roundKind, roundOutline, sawRound } from './round.js';

const params = z.strictObject({
  is: z.literal('layers'),
  /** Thickness of every board from the bottom up but of the top one, which has what is left. */
  layersMm: z
    .array(length('Layer', 0.3, 200))
    .min(1, { error: () => 'The disc has one board only; leave out what it is sawn from.' })
    .max(MOST_LAYERS - 1, { error: () => `The disc has too many layers; ${MOST_LAYERS} are allowed.` }),
});

export type Boards = z.infer<typeof params>;

const names = ({ layersMm }: Boards): string[] => layerNames({ laid: 'bottom-up', layersMm });

/** Boards glued face to face, one above the other. */
export const boards: DiscSource<Boards> = {
  is: 'layers',
  params,
  begun: { is: 'layers', layersMm: [mm(6)] },
  called: {
    whole: { start: 'disc', called: 'Solid disc of layers' },
    sliced: { start: 'disc', called: 'Solid disc of layers, sliced' },
  },
  strict: false,
  whole:
    'Slices of boards that lie one above the other would be of one board or of parts of two; let the disc stay whole, or take one board.',
  groups: (of) => names(of).map((name) => ({ name, count: 1 })),
  pitch: () => rad(TURN),
  lay(of, size) {
    const { heightMm, outerRadiusMm } = size;
    const borders = bordersOf(of.layersMm, heightMm);
    const under = borders.at(-2)!;
    if (under >= heightMm - SAME_LENGTH) return nothingOnTop('sawnFrom.layersMm', under, 'disc', heightMm);
    const thick = borders.slice(1).map((to, i) => mm(to - borders[i]!));
    const outline = roundOutline(size);
    return done({
      kinds: names(of).map((name, i) => roundKind(name, size, thick[i]!, i)),
      cornerMm: outerRadiusMm,
      repeats: 1,
      figures: [],
      laidOnPlan: false,
      lay: (place) => [
        { place, fromMm: borders[place]!, toMm: borders[place + 1]!, bottom: outline, top: outline },
      ],
      steps: () => [
        step(
          'plane',
          'planer',
          say`Plane ${thick.length} boards, bottom to top, to ${sayList(thick.map((one) => sayMm(one, 'thickness')))}, each at least ${sayMm(2 * outerRadiusMm, 'width')} wide; edge-glue two where one is narrower.`,
          ['dust'],
        ),
        step(
          'faces',
          'clamps',
          'Glue them face to face, the grain of all the same way: boards that cross hold each other fast and crack in time.',
        ),
        sawRound(size),
      ],
    });
  },
  rows: {
    called: () => 'Boards, bottom to top',
    sizes: ({ layersMm }) => [...layersMm, null],
    withSizes: (of, sizes) => ({ ...of, layersMm: sizes.slice(0, -1) }),
    places: (_, row) => [row],
    upward: () => true,
    left: (_, { kinds }) => kinds.at(-1)!.heightMm,
  },
  instead: (of, { heightMm }) => ({ ...of, layersMm: thinnedTo(of.layersMm, heightMm) }),
};
