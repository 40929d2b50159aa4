import { say, sayList, sayMade, sayMm } from '../../measure/said.js';
import { onceFor, type Step, step } from '../step.js';
import type { TwistedParams } from './params.js';
import type { SharedBoard } from './scribed.js';

/** What a section comes to. */
export interface Section {
  /** Widths of the strips that its board is glued up from. */
  readonly glued: readonly number[];
  readonly radiusMm: number;
  readonly heights: readonly number[];
  /** Thickness of its board, and of one shared with others. */
  readonly thickMm: number;
  readonly shared: SharedBoard | null;
}

/** What is done to make the slices of a section, in order; a board that is shared is glued once for all its sections. */
export function twistedSteps(given: TwistedParams, of: Section): Step[] {
  const { shared } = of;
  const board = boardStep(of);
  const own = [discStep(given, of), sliceStep(given, of), STACK];
  return shared && shared.sections.length > 1
    ? [...onceFor(`board-of-${shared.name}`, [board]), ...onceFor(given.from, own)]
    : onceFor(given.from, [board, ...own]);
}

function boardStep({ glued, thickMm, shared }: Section): Step {
  const long = shared ? say`, ${sayMm(shared.lengthMm, 'length')} long,` : '';
  const discs =
    shared && shared.sections.length > 1
      ? say` Draw the middle line of the register strip along it and scribe ${sayMade(shared.discs.length)} discs on that line: ${sayList(
          shared.discs.map(
            ({ radiusMm, atMm }) =>
              say`${sayMm(2 * radiusMm, 'diameter')} across at ${sayMm(atMm, 'place')} from the end`,
          ),
        )}.`
      : '';
  return step(
    'board',
    'clamps',
    say`Glue ${sayMade(glued.length)} strips${long} ${sayMm(thickMm, 'thickness')} high, side by side into a board ${sayMm(glued.reduce((a, b) => a + b, 0))} wide: ${sayList(glued.map((w) => sayMm(w, 'width')))}.${discs}`,
    ['dust'],
  );
}

function discStep({ pinMm }: TwistedParams, { radiusMm }: Section): Step {
  const pin =
    pinMm === undefined
      ? ''
      : say` First drill a hole of ${sayMm(pinMm, 'diameter')} square through its middle, for the pin that keeps the slices over each other: it is turned away with the hollow.`;
  return step(
    'disc',
    'bandsaw',
    say`Bandsaw a disc of ${sayMm(2 * radiusMm, 'diameter')} and mark the register strip in its middle on the edge.${pin}`,
    ['bandsaw', 'dust'],
  );
}

const sliceStep = ({ kerfMm }: TwistedParams, { heights }: Section): Step =>
  step(
    'slice',
    'bandsaw',
    say`Slice it into ${sayMade(heights.length)} of ${sayList(
      [...new Set(heights)].map((t) => sayMm(t, 'thickness')),
      ' and ',
    )}, losing ${sayMm(kerfMm)} at every cut; keep their order.`,
    ['resawing', 'dust'],
  );

const STACK = step(
  'stack',
  'clamps',
  'Glue the slices with each turned by its step (the turns are in the ledger), the register mark counted round; match the next section on with its register strip.',
);
