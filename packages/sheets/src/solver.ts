import type { HighsLike } from '@fellside/core';
import * as highs from 'highs';

/** The solver; its types name the module, and its default export is what loads it. */
export const loadSolver = highs.default as unknown as () => Promise<HighsLike>;
