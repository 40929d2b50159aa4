import { onSurface } from '../inlay/frame.js';
import { linesAcross } from '../inlay/measures.js';
import { copiesOf, type InlayLies } from '../inlay/placed.js';
import type { Inlay } from '../inlay/schema.js';
import type { OwnedPieces } from '../lumber/owned.js';
import type { RingPlan } from '../lumber/ringPlan.js';
import type { PieceKind } from '../making/contract.js';
import { mm } from '../measure/quantity.js';
import { ringOwner } from '../ring/owner.js';
import { bandWoods } from '../ring/slant.js';
import type { Prepared } from './prepare.js';
import { placeOnWall } from './standing.js';

/** An insert is sawn so much thicker than its pocket is deep, to be turned flush (mm). */
const PROUD = 1.5;
/** Lines across an outline, and points on each, at which the wood under it is looked up. */
const LOOKED = { lines: 8, points: 6 } as const;

/** The rings with the inserts and seam strips of the inlays whose middle lies in them among their pieces. */
export function withInlays(
  plans: readonly RingPlan[],
  { inlays }: Pick<Prepared, 'inlays'>,
  woodOf: ReadonlyMap<string, string>,
): readonly RingPlan[] {
  const more = new Map<number, OwnedPieces[]>();
  for (const { inlay, placed } of inlays) {
    if (!placed.ok) continue;
    const at = Math.max(
      0,
      plans.findLastIndex(({ bottomMm }) => bottomMm <= inlay.heightMm),
    );
    const ring = plans[at];
    if (!ring) continue;
    more.set(at, [...(more.get(at) ?? []), ...piecesOf(inlay, placed.value, ring.id, woodOf)]);
  }
  if (more.size === 0) return plans;
  return plans.map((plan, i) => {
    const own = more.get(i);
    return own ? { ...plan, pieces: [...plan.pieces, ...own] } : plan;
  });
}

function piecesOf(
  inlay: Inlay,
  { loops, insertMm3, pocketMm3, mostDepthMm, seamMm }: InlayLies,
  ring: string,
  woodOf: ReadonlyMap<string, string>,
): OwnedPieces[] {
  const corners = loops.insert.flat();
  const wide = Math.max(...corners.map(({ u }) => u)) - Math.min(...corners.map(({ u }) => u));
  const high = Math.max(...corners.map(({ z }) => z)) - Math.min(...corners.map(({ z }) => z));
  const kind = (name: string, lengthMm: number, widthMm: number, thicknessMm: number): PieceKind => ({
    name,
    grain: 'along',
    heightMm: mm(thicknessMm),
    stock: {
      from: 'panel',
      shape: 'block',
      lengthMm: mm(lengthMm),
      widthMm: mm(widthMm),
      thicknessMm: mm(thicknessMm),
    },
    places: [],
  });
  const owned = (wood: string, of: PieceKind, volumeMm3: number): OwnedPieces => ({
    owner: ringOwner(ring),
    wood: woodOf.get(wood)!,
    kind: of,
    count: inlay.copies,
    places: [],
    volumeMm3,
    sanded: 0,
  });
  const name = inlay.patch ? 'patch' : 'inlay';
  const insert = kind(name, Math.max(wide, high), Math.min(wide, high), mostDepthMm + PROUD);
  const { seam } = inlay;
  return [
    owned(inlay.wood, insert, insertMm3),
    ...(seam
      ? [
          owned(
            seam.wood,
            kind(`seam of the ${name}`, seamMm, mostDepthMm + PROUD, seam.widthMm),
            pocketMm3 - insertMm3,
          ),
        ]
      : []),
  ];
}

/** Volumes left by wood with those of inserts and seams; what was cut out for them is taken from the woods it was cut from. */
export function finishedWithInlays(
  finished: ReadonlyMap<string, number>,
  prepared: Prepared,
  woodOf: ReadonlyMap<string, string>,
): ReadonlyMap<string, number> {
  const cut = prepared.inlays.filter(({ placed }) => placed.ok);
  if (cut.length === 0) return finished;
  const all = new Map(finished);
  const add = (key: string, volume: number) => {
    const wood = woodOf.get(key);
    if (wood !== undefined) all.set(wood, (all.get(wood) ?? 0) + volume);
  };
  for (const { inlay, placed } of cut) {
    if (!placed.ok) continue;
    const { pocketMm3, insertMm3 } = placed.value;
    add(inlay.wood, inlay.copies * insertMm3);
    if (inlay.seam) add(inlay.seam.wood, inlay.copies * (pocketMm3 - insertMm3));
    const under = woodsUnder(inlay, placed.value, prepared);
    for (const key of under) add(key, (-pocketMm3 * inlay.copies) / under.length);
  }
  return all;
}

/** Woods of the wall under all copies of an inlay, one for each place looked at; gaps have none. */
function woodsUnder(inlay: Inlay, { frame, loops }: InlayLies, prepared: Prepared): string[] {
  const points = linesAcross(loops.pocket, LOOKED.lines).flatMap(({ v, within }) =>
    within.flatMap((from, i) => {
      const to = within[i + 1];
      if (i % 2 === 1 || to === undefined) return [];
      return Array.from({ length: LOOKED.points }, (_, k) =>
        onSurface(prepared.vessel, frame, from + ((to - from) * (k + 0.5)) / LOOKED.points, v),
      ).flatMap((at) => at ?? []);
    }),
  );
  return copiesOf(inlay).flatMap(({ toward, mirrored }) =>
    points.flatMap(({ angle, heightMm }) => {
      const met = placeOnWall(prepared, 'outside', toward + (mirrored ? -angle : angle), heightMm);
      if (!met) return [];
      const ring = prepared.rings[met.ring];
      return ring
        ? [ring.ring.woods[met.place]!]
        : [bandWoods(prepared.bands[met.ring - prepared.rings.length]!.slant)[met.place]!];
    }),
  );
}
