import { say, sayMm } from '../../measure/said.js';
import { SAME_SETTING } from '../../measure/tolerance.js';
import type { PieceKind } from '../contract.js';
import type { StripStock } from '../stock.js';

/** Spacers by thickness; their places follow those of `count` segments, in the order of the joints. */
export function spacerKinds(
  joints: readonly number[],
  thicknesses: readonly number[],
  stock: (joint: number) => StripStock,
  count: number,
): (PieceKind & { readonly stock: StripStock })[] {
  const sizes: number[] = [];
  for (const joint of joints)
    if (!sizes.some((s) => Math.abs(s - thicknesses[joint]!) < SAME_SETTING)) sizes.push(thicknesses[joint]!);
  return sizes.map((size) => {
    const members = joints.filter((joint) => Math.abs(thicknesses[joint]! - size) < SAME_SETTING);
    return {
      name: sizes.length === 1 ? 'Spacer' : say`Spacer of ${sayMm(size)}`,
      grain: 'outwards',
      heightMm: stock(members[0]!).thicknessMm,
      stock: stock(members[0]!),
      places: members.map((joint) => count + joints.indexOf(joint)),
    };
  });
}

/** How often a set of spacers comes to itself in a turn, where segments alike come every `every` of them. */
export function repeatsOf(thicknesses: readonly number[], every = 1): number {
  const count = thicknesses.length;
  for (let step = every; step < count; step += every)
    if (count % step === 0 && thicknesses.every((s, j) => s === thicknesses[(j + step) % count]))
      return count / step;
  return 1;
}
