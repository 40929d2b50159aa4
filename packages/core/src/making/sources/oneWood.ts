import { z } from 'zod';
import { done } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import type { Frame } from '../joints/frame.js';
import { HOW, ripAndSaw, sawAll } from '../joints/frameSteps.js';
import { risingThrough } from '../joints/levels.js';
import { type Planing, planedThickness } from '../planing.js';
import { type Step, step } from '../step.js';
import type { StripStock } from '../stock.js';
import type { Source } from './contract.js';

const params = z.strictObject({ is: z.literal('one-wood') });

/** Segments each of one piece: what is meant where nothing else is said. */
export const oneWood: Source<z.infer<typeof params>> = {
  is: 'one-wood',
  params,
  groups: () => [{ name: 'Segment', each: 1 }],
  against: () => null,
  repeats: (_, count) => count,
  saw(_, frame, { inOrder, after }) {
    const opened = after?.done === 'opened';
    const how = inOrder || opened ? HOW['same-edge'] : undefined;
    const first = frame.segments[0]!.stock;
    return done({
      kinds: frame.segments.map((kind) => ({ ...kind, stock: inOrderOf(kind.stock, how !== undefined) })),
      radial: true,
      lay: (place) => whole(frame, place),
      steps: (planing) => [
        ...(opened ? [ripForBook(first, planing), ...sawAll(frame, how, 2)] : ripAndSaw(frame, planing, how)),
      ],
    });
  },
};

/** A strip whose pieces are cut and marked in the order of their places. */
export const inOrderOf = (stock: StripStock, ordered: boolean): StripStock =>
  ordered ? { ...stock, cutting: 'same-edge', inOrder: true } : stock;

/** A segment of one piece where it lies. */
function whole({ outline, upright, heightMm, levels }: Frame, place: number) {
  if (!upright) return risingThrough(place, [0, heightMm], levels, (z) => outline(place, z));
  const around = outline(place, 0);
  return { place, bottom: around, top: around };
}

const ripForBook = ({ thicknessMm, widthMm }: StripStock, planing: Planing): Step =>
  step(
    'rip',
    'planer',
    say`Plane strips to ${sayMm(planedThickness(thicknessMm, planing), 'thickness')}, twice the ring’s thickness and what is lost, and rip them ${sayMm(widthMm, 'width')} wide. Choose stock with the grain upright through its thickness, or the kerf shifts the figure.`,
    ['dust'],
  );
