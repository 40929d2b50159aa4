import { expose } from 'comlink';
import load from 'highs';
import wasm from 'highs/runtime?url';
import { type LayoutAsk, type LayoutState, layOutBoards } from './layout.js';

/** The solver comes as WebAssembly of its own, fetched when it is first asked. */
const loadSolver = () => load({ locateFile: () => wasm });

export interface LayoutService {
  run(ask: LayoutAsk, tell: (state: LayoutState) => void): Promise<void>;
}

const service: LayoutService = { run: (ask, tell) => layOutBoards(ask, loadSolver, tell) };

expose(service);
