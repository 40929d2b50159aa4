import type { Ring, Stacking } from '@fellside/core';
import { createSelector } from '@reduxjs/toolkit';
import type { Shape } from '../workers/geometry.js';
import { projectOf } from './house.js';
import { inlaysOf, rippedOf, shapedRingsOf, shapedSlantsOf } from './selectors.js';
import type { State } from './store.js';

/** Rings without what their shape does not hang on: a worker is not sent a thousand woods. */
const bare = (rings: readonly Ring[]): Stacking['rings'] => rings.map((ring) => ({ ...ring, woods: [] }));

let versions = 0;

/** A shape for a worker, told apart from all others; `build` is how it came out, where it is not as drawn. */
export const shapeFrom = (
  { form, rings, allowances, slants, inlays }: Stacking,
  ripping: Shape['ripping'],
  build?: Shape['build'],
): Shape => ({
  version: ++versions,
  stacking: { form, rings: bare(rings), allowances, slants, inlays },
  ripping,
  ...(build && { build }),
});

/** The shape of the open piece for a worker; painting does not change it. */
export const shapeOf: (state: State) => Shape = createSelector(
  [
    (state: State) => projectOf(state).form,
    shapedRingsOf,
    (state: State) => projectOf(state).allowances,
    shapedSlantsOf,
    inlaysOf,
    rippedOf,
  ],
  (form, rings, allowances, slants, inlays, ripping) =>
    shapeFrom({ form, rings, allowances, slants, inlays }, ripping),
);
