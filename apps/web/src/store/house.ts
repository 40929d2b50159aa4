import {
  DEFAULT_SHOP,
  type FinishId,
  type Project,
  SHIPPED_WOODS,
  type Shop,
  type Species,
} from '@fellside/core';
import { api } from './api.js';
import type { State } from './store.js';

// What every screen asks of the store; what is worked out of an open piece is in selectors.ts, which no first screen waits for.

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

/** What the shop usually finishes with. */
export const usualFinishOf = (state: State): FinishId => shopOf(state).workshop.finish.usual;
