import { sawn } from '../demo/build.js';
import type { SegmentedParams } from '../making/segmented/params.js';
import { mm } from '../measure/quantity.js';

/** Answers that a ring is put together from, each by a short name; a ring of twelve where nothing else is said. */
export type Answers = Partial<SegmentedParams>;
export const ring = (answers: Answers = {}): SegmentedParams => ({ way: 'segmented', count: 12, ...answers });
export const lean = (cut: 'two-fences' | 'same-edge' | 'turned-over', tiltDeg = 12) =>
  ({ tiltDeg, hand: 'right', cut }) as const;
export const SPACERS: Answers = { between: { put: 'spacers', spacers: { at: 'every', thicknessMm: mm(3) } } };
export const GAPS: Answers = { between: { put: 'gaps', gap: { sides: 'tapered', share: 0.2 } } };
export const CENTRE: Answers = { toCentre: true };
export const staves = (leanDeg = 0): Answers => ({ staves: { leanDeg } });
export const halves = (first: number, a = 0, b = 0): Answers => ({
  inHalves: { first, spacersMm: [mm(a), mm(b)], divider: null },
});
export const SLICED: Answers = { after: { done: 'sliced', from: 'a', kerfMm: mm(2), cleanUpMm: mm(1) } };
export const BOOK: Answers = { after: { done: 'opened', kerfMm: mm(2), cleanUpMm: mm(1) } };
export const OUTSIDE_IN: Answers = { sawnFrom: { is: 'layers', laid: 'outside-in', layersMm: [mm(6)] } };
export const plug = (across: number): Answers => ({ plug: { diameterMm: mm(across), drillMm: mm(across) } });
export const bottomUp = (turned: 'none' | 'first'): Answers => ({
  sawnFrom: { is: 'layers', laid: 'bottom-up', layersMm: [mm(6)], turned },
});
export const from = (is: 'plugs' | 'letters' | 'illusion' | 'laminated'): Answers => ({
  sawnFrom: sawn(is, 12).sawnFrom,
});
