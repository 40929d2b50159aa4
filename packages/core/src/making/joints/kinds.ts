import { say, sayMm } from '../../measure/said.js';
import { SAME_SETTING } from '../../measure/tolerance.js';
import type { PieceKind } from '../contract.js';
import type { StripStock } from '../stock.js';
import type { Jointed } from './jointed.js';

/** Spacers by thickness, layer by layer; their places follow those of `count` segments, in the order of the strips. */
export function spacerKinds(
  { strips, stripStock }: Pick<Jointed, 'strips' | 'stripStock'>,
  count: number,
): (PieceKind & { readonly stock: StripStock })[] {
  const layers = Math.max(0, ...strips.map(({ layer }) => layer + 1));
  const kinds: { layer: number; thicknessMm: number; members: number[] }[] = [];
  strips.forEach(({ layer, thicknessMm }, strip) => {
    const known = kinds.find(
      (kind) => kind.layer === layer && Math.abs(kind.thicknessMm - thicknessMm) < SAME_SETTING,
    );
    if (known) known.members.push(strip);
    else kinds.push({ layer, thicknessMm, members: [strip] });
  });
  return kinds.map(({ layer, thicknessMm, members }) => {
    const called = layers === 1 ? 'Spacer' : `Spacer, layer ${layer + 1}`;
    const stock = stripStock(members[0]!);
    return {
      name: kinds.length === layers ? called : say`${called} of ${sayMm(thicknessMm)}`,
      grain: 'outwards',
      heightMm: stock.thicknessMm,
      stock,
      places: members.map((strip) => count + strip),
    };
  });
}

/** How often what joints hold comes to itself in a turn. */
export function repeatsOf(held: readonly string[]): number {
  const count = held.length;
  for (let step = 1; step < count; step++)
    if (count % step === 0 && held.every((s, j) => s === held[(j + step) % count])) return count / step;
  return 1;
}
