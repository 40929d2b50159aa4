import { gapIn, spacersIn } from '../joints/between.js';
import type { SegmentedParams } from './params.js';
import { SEGMENTED_STARTS, type SegmentedStart, START_OF } from './starts.js';

/** The starting points that a ring has something of, the one that says most of it first. */
function startsIn(given: SegmentedParams): SegmentedStart[] {
  const { woven, sawnFrom, after, lean, between, inOrder, staves, toCentre, inHalves } = given;
  const climbing = !woven && lean !== undefined && spacersIn(between) !== undefined;
  return [
    ...(sawnFrom ? [START_OF[sawnFrom.is]] : []),
    ...(staves ? (['staved'] as const) : []),
    ...(inHalves ? (['halves'] as const) : []),
    ...(toCentre ? (['pie'] as const) : []),
    ...(after?.done === 'sliced' ? (['resawn'] as const) : []),
    ...(woven
      ? (['basket'] as const)
      : climbing
        ? (['climbing'] as const)
        : lean
          ? (['tilted'] as const)
          : []),
    ...(gapIn(between) ? (['open'] as const) : []),
    ...(spacersIn(between) && !lean ? (['spaced'] as const) : []),
    ...(inOrder || after?.done === 'opened' ? (['grain'] as const) : []),
  ];
}

/** The starting point that a ring is nearest to. */
export const startOfSegmented = (given: SegmentedParams): SegmentedStart => startsIn(given)[0] ?? 'flat';

/** What the others are called beside the first. */
const BESIDE: Partial<Record<SegmentedStart, string>> = {
  staved: 'of staves',
  pie: 'to the centre',
  halves: 'in two halves',
  resawn: 'sliced',
  climbing: 'leaning with spacers',
  basket: 'woven',
  tilted: 'leaning',
  open: 'with gaps',
  spaced: 'with spacers',
  grain: 'grain-matched',
};

/** What a ring is called: by the starting point that it is nearest to, and what there is of others. */
export function calledOf(given: SegmentedParams): string {
  const [first = 'flat', ...others] = startsIn(given);
  const { name } = SEGMENTED_STARTS[first];
  if (others.length === 0 && given.parts && first === 'flat') return 'Unequal segments';
  const called = first === 'pie' && !given.plug ? 'Segments to the centre' : name;
  return [called, ...others.map((other) => BESIDE[other])].join(', ');
}
