import {
  agedColour,
  done,
  dress,
  type FinishId,
  finishedPalette,
  type Owned,
  type Plan,
  type Prepared,
  plan,
  type Result,
  rippingOf,
  type Species,
  seen,
  stackUp,
} from '@fellside/core';
import { createSelector } from '@reduxjs/toolkit';
import { dequal } from 'dequal';
import { canPlanBeside, type PlanAsk } from '../workers/planning.js';
import { isLarge, plannedAmid, plannedFor } from './fitting.js';
import { projectOf, shopOf, usualFinishOf, woodsOf } from './house.js';
import { shapedRings, shapedSlants } from './shapedRings.js';
import type { State } from './store.js';

/** How the shop rips strips: sizes of rings hang on it. */
export const rippedOf = createSelector([shopOf], ({ shareWidthMm, ripStepMm }) =>
  rippingOf({ shareWidthMm, ripStepMm }),
);

const formOf = (state: State) => projectOf(state).form;
const ringsOf = (state: State) => projectOf(state).rings;
export const shapedRingsOf = (state: State) => shapedRings(projectOf(state).rings);
const motifsOf = (state: State) => projectOf(state).motifs;
const palettedOf = (state: State) => projectOf(state).palette;
const allowancesOf = (state: State) => projectOf(state).allowances;
const slantsOf = (state: State) => projectOf(state).slants;
export const inlaysOf = (state: State) => projectOf(state).inlays;
/** Slanted bands, the same array as long as nothing but their woods changes. */
export const shapedSlantsOf = (state: State) => shapedSlants(projectOf(state).slants);

/** Form and rings worked out; painting and renaming do not ask for it again. */
const stackOf = createSelector(
  [formOf, shapedRingsOf, allowancesOf, shapedSlantsOf, inlaysOf, rippedOf],
  (form, rings, allowances, slants, inlays, ripping) =>
    stackUp({ form, rings, allowances, slants, inlays }, ripping),
);

/** The same in the woods that show. */
export const preparedOf: (state: State) => Result<Prepared> = createSelector(
  [stackOf, ringsOf, motifsOf, palettedOf, slantsOf],
  (stack, rings, motifs, palette, slants) =>
    stack.ok ? done(dress(stack.value, { rings, motifs, palette, slants })) : stack,
);

const planHere: (state: State) => Result<Plan> = createSelector(
  [projectOf, shopOf, woodsOf, preparedOf],
  plan,
);

/** The open piece as it stood before the gesture that runs. */
const before = (state: State): State => ({ ...state, piece: { ...state.piece, preview: null } });

/** Whether the plan is worked out beside the page: always of a large piece, and of any while a gesture runs. */
const besideOf = (state: State): boolean =>
  canPlanBeside() && (state.piece.preview !== null || isLarge(projectOf(state)));

/**
 * The plan of the open piece. Of a large one it is the last that was worked out beside the page; while a gesture runs it is
 * the last that came, or the one from before: the pointer never waits for figures.
 */
export const planOf = (state: State): Result<Plan> => {
  const project = projectOf(state);
  if (!besideOf(state)) return planHere(state);
  if (isLarge(project)) return plannedFor(state.planned, project);
  const amid = plannedAmid(state.planned, project, state.piece.edited?.project);
  if (amid) return amid;
  const still = before(state);
  return projectOf(still).rings.length === project.rings.length ? planHere(still) : planHere(state);
};

/** What a plan that is worked out beside the page is asked with; null where it is worked out here. */
export const planAskOf: (state: State) => PlanAsk | null = createSelector(
  [projectOf, shopOf, woodsOf, besideOf, (state: State) => state.piece.edited?.project ?? null],
  (project, shop, woods, beside, from) => (beside ? { project, shop, woods, from: from ?? project } : null),
);

/** Whose pieces there are, by id; the same object as long as nobody comes, goes or moves. */
export const ownedOf: (state: State) => Owned = createSelector(
  [ringsOf, slantsOf, (state: State) => projectOf(state).blanks],
  (rings, slants, blanks): Owned => ({ rings: ids(rings), slants: ids(slants), blanks: ids(blanks) }),
  { memoizeOptions: { resultEqualityCheck: dequal } },
);

const ids = (all: readonly { readonly id: string }[] = []) => all.map(({ id }) => ({ id }));

/** What the open piece is finished with. */
export const finishIdOf = (state: State): FinishId => projectOf(state).finish ?? usualFinishOf(state);

/** Species by palette key, in the colours that they have under the piece's finish. */
export const speciesOf: (state: State) => ReadonlyMap<string, Species> = createSelector(
  [palettedOf, woodsOf, finishIdOf],
  finishedPalette,
);

/** The same in the colours to be drawn: as old and as seen as the viewer chose. */
export const paletteOf: (state: State) => ReadonlyMap<string, Species> = createSelector(
  [speciesOf, (state: State) => state.session.years, (state: State) => state.session.sight],
  (palette, years, sight) =>
    years === 0 && sight === 'usual'
      ? palette
      : new Map(
          [...palette].map(([key, species]) => [
            key,
            { ...species, colour: seen(agedColour(species, years), sight) },
          ]),
        ),
);
