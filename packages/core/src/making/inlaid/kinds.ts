import { type Mm, mm } from '../../measure/quantity.js';
import { say, sayMm } from '../../measure/said.js';
import type { PieceKind } from '../contract.js';
import { backingKind, frontStock } from '../faced/backing.js';
import { type FacedRing, faceWidth } from '../faced/facedRing.js';
import { placesOfGroup, type SegmentGroup } from '../sources/contract.js';
import { plugsIn } from './lens.js';
import type { Edge, InlaidRing, PlugParams } from './params.js';

/** Pieces of the edge that there are: above, below, at the sides. */
export const edgePieces = ({ topMm, bottomMm, sidesMm }: Edge): number =>
  (topMm > 0 ? 1 : 0) + (bottomMm > 0 ? 1 : 0) + (sidesMm > 0 ? 2 : 0);

/** The kinds of pieces: fields, plugs by size, edges, what lies behind. */
export function kindsOf(given: InlaidRing, ring: FacedRing, groups: readonly SegmentGroup[]): PieceKind[] {
  const { count, plugs, edge } = given;
  const { heightMm } = ring;
  const width = faceWidth(ring);
  const places = (group: number) => placesOfGroup(groups, count, group);
  const framed = edgePieces(edge) > 0;
  const block = (lengthMm: number, thicknessMm: number) => ({
    from: 'panel' as const,
    shape: 'block' as const,
    lengthMm: mm(lengthMm),
    widthMm: ring.frontMm,
    thicknessMm: mm(thicknessMm),
  });
  const inside = heightMm - edge.topMm - edge.bottomMm;
  const segment: PieceKind = {
    name: 'Segment',
    grain: 'along',
    heightMm,
    stock: framed ? block(width - 2 * edge.sidesMm, inside) : frontStock(given, ring),
    places: places(0),
  };
  const bySize = new Map<string, { plug: PlugParams; members: number[] }>();
  for (let at = 0; at < plugs.length * count; at++) {
    const plug = plugsIn(given, Math.floor(at / plugs.length))[at % plugs.length]!;
    const key = `${plug.shape} ${plug.acrossMm.toFixed(2)} ${plug.depthMm ?? ''}`;
    const known = bySize.get(key) ?? { plug, members: [] };
    known.members.push(count + at);
    bySize.set(key, known);
  }
  const dowels = [...bySize.values()].map(
    ({ plug, members }): PieceKind => ({
      name: say`${plug.shape === 'round' ? 'Dowel' : 'Plug'} of ${sayMm(plug.acrossMm)}`,
      grain: 'outwards',
      heightMm,
      stock: {
        from: 'panel',
        shape: 'dowel',
        lengthMm: mm(plug.depthMm ?? ring.segment.widthMm),
        widthMm: plug.acrossMm,
        thicknessMm: plug.acrossMm,
      },
      places: members,
    }),
  );
  const edges = edgeKinds(edge, heightMm, block, width, places(2));
  return [segment, ...dowels, ...edges, ...backingKind(given, ring, groups)];
}

function edgeKinds(
  { topMm, bottomMm, sidesMm }: Edge,
  heightMm: Mm,
  block: (lengthMm: number, thicknessMm: number) => PieceKind['stock'],
  width: number,
  places: readonly number[],
): PieceKind[] {
  const each = edgePieces({ topMm, bottomMm, sidesMm });
  const sorts = [
    ...(topMm > 0 ? [{ name: 'Edge above', stock: block(width, topMm) }] : []),
    ...(bottomMm > 0 ? [{ name: 'Edge below', stock: block(width, bottomMm) }] : []),
    ...(sidesMm > 0
      ? [0, 1].map((i) => ({
          name: i === 0 ? 'Edge at the left' : 'Edge at the right',
          stock: block(heightMm - topMm - bottomMm, sidesMm),
        }))
      : []),
  ];
  return sorts.map(({ name, stock }, i) => ({
    name,
    stock,
    heightMm,
    grain: 'along',
    places: places.filter((_, at) => at % each === i),
  }));
}
