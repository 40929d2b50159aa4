import type { InlaidRing, Lens, PlugParams } from './params.js';

/**
 * How large a dot is beside its usual size: `1 + (swell − 1)·(1 − ρ²)` within the lens, ρ the distance from its middle
 * over the distance to its rim; 1 beyond it. The bright spot of a sphere falls off the same way.
 */
export function swellAt(
  { segment, times, segments, rings, ring, swell }: Lens,
  at: number,
  count: number,
): number {
  const round = count / times;
  const off = (((at - segment) % round) + round) % round;
  const aside = Math.min(off, round - off) / segments;
  const square = aside * aside + (ring / rings) ** 2;
  return 1 + (swell - 1) * Math.max(0, 1 - square);
}

/** The plugs of one segment, with the sizes that the lens gives them there. */
export const plugsIn = ({ plugs, lens, count }: InlaidRing, segment: number): readonly PlugParams[] => {
  if (!lens) return plugs;
  const by = swellAt(lens, segment, count);
  return plugs.map((plug) => ({ ...plug, acrossMm: (plug.acrossMm * by) as PlugParams['acrossMm'] }));
};
