import type { BoardRows, Made } from '../contract.js';
import { spacersIn } from '../joints/between.js';
import { lastLayer, layerSizes, placesOfLayer, spacerGroups, withLayers } from '../joints/spacers.js';
import { placesOfSegments } from '../sources/contract.js';
import { sourceOf } from '../sources/registry.js';
import type { SegmentedParams } from './params.js';

/** The boards that a ring is glued up from: that of its segments, and what its spacers are layered of. */
export function boardsOf(given: SegmentedParams): BoardRows<SegmentedParams>[] {
  const { source, of } = sourceOf(given.sawnFrom);
  const rows = source.rows?.(given.count);
  const sawn: BoardRows<SegmentedParams>[] = rows
    ? [
        {
          called: () => rows.called(of),
          sizes: () => rows.sizes(of),
          withSizes: (given, sizes) => ({ ...given, sawnFrom: rows.withSizes(of, sizes) }),
          places: ({ sawnFrom }, row) => rows.places(sawnFrom ?? of, row),
          upward: () => rows.upward(of),
          ...(rows.left && { left: (_: SegmentedParams, made: Made) => rows.left!(of, made) }),
        },
      ]
    : [];
  const spacers = spacerRows(given, placesOfSegments(source.groups(of), given.count));
  return [...sawn, ...(spacers ? [spacers] : [])];
}

/** The layers that the spacers of a ring are glued up from, as rows; null where no joint holds a spacer. `first` is the first place after the segments. */
function spacerRows(given: SegmentedParams, first: number): BoardRows<SegmentedParams> | null {
  const spacers = spacersIn(given.between);
  if (!spacers) return null;
  return {
    called: () => 'Layers of a spacer, counter-clockwise',
    sizes: () => layerSizes(spacers),
    withSizes(given, sizes) {
      const next = withLayers(spacers, sizes);
      const { between } = given;
      if (between?.put !== 'mixed') return { ...given, between: { put: 'spacers', spacers: next } };
      const { layers: _, ...rest } = between;
      return { ...given, between: { ...rest, ...(next.layers && { layers: next.layers }) } };
    },
    places: ({ count, between }, row) => placesOfLayer(first, spacerGroups(count, spacersIn(between)), row),
    upward: () => false,
    left: () => lastLayer(spacers),
  };
}
