import type { HighsLike } from '@fellside/core';
import { expose } from 'comlink';
import load from 'highs';
import wasm from 'highs/runtime?url';
import { copiesOf, type LayoutAsk, solveWood, type WoodState } from './layout.js';

/** The solver comes as WebAssembly of its own, fetched and compiled when it is first asked: once a worker, for all its woods. */
let solver: Promise<HighsLike> | undefined;

/** One that came to grief is not asked again: the next question gets a new one. */
async function withSolver<T>(work: (highs: HighsLike) => T | Promise<T>): Promise<T> {
  solver ??= load({ locateFile: () => wasm });
  try {
    return await work(await solver);
  } catch (error) {
    solver = undefined;
    throw error;
  }
}

export interface WoodService {
  wood(ask: LayoutAsk, wood: number, tell: (state: WoodState) => void): Promise<void>;
  copies(ask: LayoutAsk): Promise<number>;
}

const service: WoodService = {
  wood: (ask, wood, tell) => withSolver((highs) => solveWood(ask, wood, highs, tell)),
  copies: (ask) => withSolver((highs) => copiesOf(ask, highs)),
};

expose(service);
