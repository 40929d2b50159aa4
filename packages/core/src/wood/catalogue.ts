import type { Species } from './species.js';
import { STRONG_WOODS } from './strongWoods.js';
import { TEMPERATE_WOODS } from './temperateWoods.js';

/** The woods that ship with Fellside. Users add their own beside them. */
export const SHIPPED_WOODS: readonly Species[] = [...TEMPERATE_WOODS, ...STRONG_WOODS];
