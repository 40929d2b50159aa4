import { done, type Result, refuse } from '../measure/reason.js';
import { say, sayMm } from '../measure/said.js';

/** A ring of the rest of a stretch thinner than this is not worth a board: the rings share the stretch evenly (mm). */
const LEAST_SLICE = 3;

/**
 * Heights that fill a stretch of the stack with rings of one height after another (`heights`, the last one repeated).
 * A stretch that is `bounded` above, by a ring that keeps its place, is filled exactly, its last ring planed thinner;
 * the topmost stretch is reached or passed. All mm.
 */
export function slices(runMm: number, heights: readonly number[], bounded: boolean): number[] {
  const result: number[] = [];
  let [left, i] = [runMm, 0];
  while (left > 1e-6) {
    const next = heights[Math.min(i++, heights.length - 1)]!;
    if (bounded && next > left) break;
    result.push(next);
    left -= next;
  }
  if (!bounded || left <= 1e-6) return result;
  if (left >= LEAST_SLICE || result.length === 0) return [...result, left];
  return evenly(runMm, result.length + 1);
}

const evenly = (runMm: number, n: number): number[] => Array.from({ length: n }, () => runMm / n);

/** Boards planed to a thickness, and how many rings they give. */
export interface Thickness {
  readonly heightMm: number;
  readonly rings: number;
}

/** Most combinations of boards that are tried; 8 thicknesses of many rings each would take for ever. */
const MOST_STATES = 40_000;

/**
 * Rings from the thicknesses on hand that reach up `runMm`, in the order that takes the least wood: thin rings where the
 * wall slopes, thick ones where it stands. Dynamic programming over how many of each are used; `wood` gives the wood of
 * a ring that starts at a height above the stretch's foot. Refused when the boards do not reach.
 */
export function slicesFromBoards(
  runMm: number,
  stock: readonly Thickness[],
  wood: (fromMm: number, heightMm: number) => number,
): Result<number[]> {
  const reach = stock.reduce((sum, { heightMm, rings }) => sum + heightMm * rings, 0);
  if (reach < runMm - 1e-6)
    return refuse(
      'boards-short',
      'thicknesses',
      say`The boards give rings of ${sayMm(reach)} in all; ${sayMm(runMm)} are wanted.`,
      { least: runMm },
    );
  interface State {
    readonly used: readonly number[];
    readonly z: number;
    readonly wood: number;
    readonly heights: readonly number[];
  }
  let best: State | null = null;
  let open = new Map<string, State>([['', { used: stock.map(() => 0), z: 0, wood: 0, heights: [] }]]);
  let tried = 0;
  while (open.size > 0) {
    const next = new Map<string, State>();
    for (const state of open.values())
      stock.forEach(({ heightMm, rings }, i) => {
        if (state.used[i]! >= rings) return;
        const used = state.used.map((n, k) => (k === i ? n + 1 : n));
        const grown: State = {
          used,
          z: state.z + heightMm,
          wood: state.wood + wood(state.z, heightMm),
          heights: [...state.heights, heightMm],
        };
        if (best && grown.wood >= best.wood) return;
        if (grown.z >= runMm - 1e-6) {
          best = grown;
          return;
        }
        const key = used.join();
        const known = next.get(key);
        if (!known || grown.wood < known.wood) next.set(key, grown);
      });
    tried += next.size;
    if (tried > MOST_STATES)
      return refuse(
        'boards-many',
        'thicknesses',
        'There are too many ways to combine these boards; list fewer thicknesses or fewer rings of each.',
      );
    open = next;
  }
  return done([...best!.heights]);
}
