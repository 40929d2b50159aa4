import { say, sayList, sayMade, sayMm } from '../../measure/said.js';
import { onceFor, type Step, step } from '../step.js';
import type { DiscSize } from './contract.js';
import type { SharedBoard } from './scribed.js';
import type { Strip } from './stripOutline.js';

/** What is done to a disc of the strips that are glued on; a board that several discs are scribed on is glued up once for all of them. */
export function stripSteps(glued: readonly Strip[], size: DiscSize): Step[] {
  const shared = size.apart?.shared ?? null;
  const board = [boardStep(glued, size, shared)];
  return [
    ...(shared && shared.sections.length > 1 ? onceFor(`board-of-${shared.name}`, board) : board),
    sawDisc(size),
  ];
}

function boardStep(glued: readonly Strip[], { heightMm }: DiscSize, shared: SharedBoard | null): Step {
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
  const wide = glued.reduce((sum, { widthMm }) => sum + widthMm, 0);
  return step(
    'board',
    'clamps',
    say`Glue ${sayMade(glued.length)} strips${long} ${sayMm(heightMm, 'thickness')} high, side by side into a board ${sayMm(wide)} wide: ${sayList(glued.map(({ widthMm }) => sayMm(widthMm, 'width')))}.${discs}`,
    ['dust'],
  );
}

const sawDisc = ({ outerRadiusMm }: DiscSize): Step =>
  step(
    'disc',
    'bandsaw',
    say`Bandsaw a disc of ${sayMm(2 * outerRadiusMm, 'diameter')} and mark the register strip in its middle on the edge.`,
    ['bandsaw', 'dust'],
  );

/** What is done with all slices of it. */
export const STACK = step(
  'stack',
  'clamps',
  'Glue the slices with each turned by its step (the turns are in the ledger), the register mark counted round; match the next section on with its register strip.',
);
