import { type Mm, mm } from '../../measure/quantity.js';
import { say } from '../../measure/said.js';
import type { PieceKind } from '../contract.js';
import { backedKinds } from '../faced/backing.js';
import type { FacePoint } from '../faced/face.js';
import type { FacedRing } from '../faced/facedRing.js';
import type { LetteredParams } from './params.js';

/** Segments, an insert for each glyph, what lies behind, spacers. Places of segments without a letter belong to no insert. */
export function kindsOf(
  given: LetteredParams,
  pockets: readonly (readonly (readonly FacePoint[])[])[],
  ring: FacedRing,
  heightMm: Mm,
): PieceKind[] {
  const { count, order, glyphs, spacerMm } = given;
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
  const all = (first: number) => Array.from({ length: count }, (_, i) => first + i);
  const { backingMm } = given;
  const [front, ...back] =
    backingMm === undefined
      ? [{ name: 'Segment', grain: 'along' as const, heightMm, stock: ring.segment, places: all(0) }]
      : backedKinds(backingMm, ring, heightMm, { front: all(0), back: all(2 * count) });
  return [
    front!,
    ...inserts,
    ...back,
    ...(ring.spacer && spacerMm > 0
      ? [
          {
            name: 'Spacer',
            grain: 'outwards' as const,
            heightMm,
            stock: ring.spacer.stock,
            places: all((2 + back.length) * count),
          },
        ]
      : []),
  ];
}
