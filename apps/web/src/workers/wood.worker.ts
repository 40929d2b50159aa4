import { expose } from 'comlink';
import load from 'highs';
import wasm from 'highs/runtime?url';
import { copiesOf, type LayoutAsk, solveWood, type WoodState } from './layout.js';

/** The solver comes as WebAssembly of its own, fetched when it is first asked. */
const loadSolver = () => load({ locateFile: () => wasm });

export interface WoodService {
  wood(ask: LayoutAsk, wood: number, tell: (state: WoodState) => void): Promise<void>;
  copies(ask: LayoutAsk): Promise<number>;
}

const service: WoodService = {
  wood: async (ask, wood, tell) => solveWood(ask, wood, await loadSolver(), tell),
  copies: async (ask) => copiesOf(ask, await loadSolver()),
};

expose(service);
