import { mm } from '../../measure/quantity.js';
import { say } from '../../measure/said.js';
import type { PieceKind } from '../contract.js';
import { backingKind, frontStock } from '../faced/backing.js';
import type { FacePoint } from '../faced/face.js';
import type { FacedRing } from '../faced/facedRing.js';
import type { SegmentGroup } from '../sources/contract.js';
import type { LetteredRing } from './params.js';

/** Segments, an insert for each glyph, what lies behind. Places of segments without a letter belong to no insert. */
export function kindsOf(
  given: LetteredRing,
  pockets: readonly (readonly (readonly FacePoint[])[])[],
  ring: FacedRing,
  groups: readonly SegmentGroup[],
): PieceKind[] {
  const { count, order, glyphs } = given;
  const { heightMm } = ring;
  const inserts = glyphs.flatMap((glyph, i): PieceKind[] => {
    const places = Array.from({ length: count }, (_, s) => s).flatMap((s) =>
      order[s] === i ? [count + s] : [],
    );
    const points = pockets[i]!.flat();
    if (places.length === 0 || points.length === 0) return [];
    const span = (of: (p: FacePoint) => number) =>
      mm(Math.max(...points.map(of)) - Math.min(...points.map(of)));
    return [
      {
        name: say`Inlay ${glyph.name}`,
        grain: 'along',
        heightMm,
        stock: {
          from: 'panel',
          shape: 'block',
          lengthMm: span(({ u }) => u),
          widthMm: span(({ z }) => z),
          thicknessMm: given.depthMm,
        },
        places,
      },
    ];
  });
  return [
    {
      name: 'Segment',
      grain: 'along',
      heightMm,
      stock: frontStock(given, ring),
      places: Array.from({ length: count }, (_, i) => i),
    },
    ...inserts,
    ...backingKind(given, ring, groups),
  ];
}
