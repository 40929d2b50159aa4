import type { Ring, RingMaking, Way } from '@fellside/core';

/** Segments where rings were discs take the count of the nearest segmented ring, or 12. */
export function makingAs(way: Way, rings: readonly Ring[], index: number): RingMaking {
  if (way === 'disc') return { way };
  const near = [...rings.keys()]
    .filter((i) => rings[i]!.making.way === 'flat')
    .sort((a, b) => Math.abs(a - index) - Math.abs(b - index))[0];
  const like = near === undefined ? null : rings[near]!.making;
  return { way, count: like?.way === 'flat' ? like.count : 12 };
}
