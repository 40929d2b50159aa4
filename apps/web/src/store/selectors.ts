import {
  DEFAULT_SHOP,
  type Plan,
  type Prepared,
  type Project,
  plan,
  prepare,
  type Result,
  SHIPPED_WOODS,
  type Shop,
  type Species,
} from '@fellside/core';
import { createSelector } from '@reduxjs/toolkit';
import { api } from './api.js';
import type { State } from './store.js';

/** The open piece's document, or what a gesture would make of it; only asked for where a piece is open. */
export const projectOf = (state: State): Project => {
  const project = state.piece.preview?.project ?? state.piece.edited?.project;
  if (!project) throw new Error('no piece is open');
  return project;
};

const shopAnswer = api.endpoints.shop.select();
const woodsAnswer = api.endpoints.woods.select();

export const shopOf = (state: State): Shop => shopAnswer(state).data ?? DEFAULT_SHOP;
export const unitsOf = (state: State) => shopOf(state).units;
export const woodsOf = (state: State): readonly Species[] => woodsAnswer(state).data ?? SHIPPED_WOODS;

const formOf = (state: State) => projectOf(state).form;
const ringsOf = (state: State) => projectOf(state).rings;
const allowancesOf = (state: State) => projectOf(state).allowances;

/** Form and rings worked out; painting and renaming do not ask for it again. */
export const preparedOf: (state: State) => Result<Prepared> = createSelector(
  [formOf, ringsOf, allowancesOf],
  (form, rings, allowances) => prepare({ form, rings, allowances }),
);

export const planOf: (state: State) => Result<Plan> = createSelector(
  [projectOf, shopOf, woodsOf, preparedOf],
  plan,
);

/** Species by palette key. */
export const paletteOf: (state: State) => ReadonlyMap<string, Species> = createSelector(
  [(state: State) => projectOf(state).palette, woodsOf],
  (palette, woods) =>
    new Map(
      palette.flatMap(({ key, wood }) => {
        const species = woods.find(({ id }) => id === wood);
        return species ? [[key, species] as const] : [];
      }),
    ),
);
