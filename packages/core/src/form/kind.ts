/** What a form is called, in the order in which it is asked for. */
export const FORM_KINDS = {
  bowl: 'bowls',
  platter: 'platters',
  vase: 'vases, cups and beakers',
  hollow: 'hollow forms',
  lidded: 'boxes and jars with a lid',
  closed: 'balls, eggs and spindles',
} as const;
export type FormKind = keyof typeof FORM_KINDS;

/** A platter is no higher than this share of its width. */
const FLAT = 0.25;
/** The mouth of a hollow form is no wider than this share of its width. */
const NARROW = 0.4;

/** What a form of this height, width and mouth (all in one unit) is called, with or without a lid. Common practice. */
export function formKindOf(
  height: number,
  width: number,
  mouth: number,
  lid: 'none' | 'loose' | 'joined',
): FormKind {
  if (lid !== 'none') return lid === 'joined' ? 'closed' : 'lidded';
  if (mouth <= NARROW * width) return 'hollow';
  if (height >= width) return 'vase';
  return height <= FLAT * width ? 'platter' : 'bowl';
}
