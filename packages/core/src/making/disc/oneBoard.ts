import { z } from 'zod';
import { rad, TURN } from '../../measure/quantity.js';
import { done } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import { planedTo } from '../planing.js';
import { step } from '../step.js';
import type { DiscSource } from './contract.js';
import { roundKind, roundOutline, sawRound } from './round.js';

/** One solid piece, sawn round. */
export const oneBoard: DiscSource<{ readonly is: 'one-board' }> = {
  is: 'one-board',
  params: z.strictObject({ is: z.literal('one-board') }),
  begun: { is: 'one-board' },
  called: {
    whole: { start: 'disc', called: 'Solid disc' },
    sliced: { start: 'disc', called: 'Solid disc, sliced' },
  },
  strict: false,
  whole: null,
  groups: () => [{ name: 'Disc', count: 1 }],
  pitch: () => rad(TURN),
  lay(_, size) {
    const outline = roundOutline(size);
    return done({
      kinds: [roundKind('Disc', size, size.heightMm, 0)],
      cornerMm: size.outerRadiusMm,
      repeats: 1,
      figures: [],
      laidOnPlan: false,
      lay: (place) => ({ place, bottom: outline, top: outline }),
      steps: (planing) => [
        step(
          'plane',
          'planer',
          say`Plane a board to ${planedTo(size.heightMm, planing)}, at least ${sayMm(2 * size.outerRadiusMm, 'width')} wide; edge-glue two if it is narrower.`,
          ['dust'],
        ),
        sawRound(size),
      ],
    });
  },
};
