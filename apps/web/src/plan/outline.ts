import type { Point } from '@fellside/core';

/** A closed path round an outline. */
export const outlinePath = (outline: readonly Point[]): string =>
  `${outline.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(3)} ${y.toFixed(3)}`).join('')}Z`;
