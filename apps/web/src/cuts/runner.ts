import { proxy, wrap } from 'comlink';
import { dequal } from 'dequal';
import { type LayoutAsk, type LayoutState, layOutAtOnce } from '../workers/layout.js';
import type { LayoutService } from '../workers/layout.worker.js';

export interface Running {
  /** Id of the piece that all this is said of. */
  readonly piece: string | null;
  readonly state: LayoutState | null;
  /** What was asked last; `state` is of it unless it is stale. */
  readonly asked: LayoutAsk | null;
  /** The layout shown is of what was asked before. */
  readonly stale: boolean;
  readonly running: boolean;
  /** Stopped before it was done: what was found so far stays. */
  readonly cancelled: boolean;
  readonly trouble: string | null;
}

const IDLE: Running = {
  piece: null,
  state: null,
  asked: null,
  stale: false,
  running: false,
  cancelled: false,
  trouble: null,
};

/**
 * A worker that lays out boards; where there is none, they are laid out at once and here. A new question, or cancelling, ends it; the
 * best answer so far stays.
 */
export function createRunner(start: () => Worker | null) {
  let worker: Worker | null = null;
  let now = IDLE;
  let asked: LayoutAsk | null = null;
  const listeners = new Set<() => void>();
  const set = (next: Partial<Running>) => {
    now = { ...now, ...next };
    for (const listener of listeners) listener();
  };
  const end = () => {
    worker?.terminate();
    worker = null;
  };
  return {
    get: () => now,
    /** When the last one who looks is gone, and nobody comes at once, the work is dropped. */
    subscribe: (listener: () => void) => {
      listeners.add(listener);
      return () => {
        listeners.delete(listener);
        setTimeout(() => {
          if (listeners.size > 0 || !now.running) return;
          end();
          asked = null;
          set({ running: false });
        });
      };
    },
    /** Lays out anew unless the very same was asked last. */
    ask(next: LayoutAsk): void {
      if (asked && sameAsk(asked, next)) return;
      const other = now.piece !== next.piece;
      asked = next;
      end();
      // A layout of another piece is never shown for this one.
      if (other) set({ ...IDLE, piece: next.piece });
      worker = start();
      if (!worker) {
        const { state } = layOutAtOnce(next);
        set({ state: { ...state, done: true }, asked: next, stale: false });
        return;
      }
      const mine = worker;
      set({ asked: next, stale: true, running: true, cancelled: false, trouble: null });
      const service = wrap<LayoutService>(mine) as unknown as LayoutService;
      const tell = (state: LayoutState) => {
        if (worker === mine) set({ state, stale: false, running: !state.done });
      };
      service.run(next, proxy(tell)).catch((error: unknown) => {
        if (worker === mine) set({ running: false, trouble: String((error as Error).message ?? error) });
      });
    },
    cancel(): void {
      end();
      set({ running: false, cancelled: true });
    },
    /** Starts again what was cancelled. */
    again(): void {
      const last = asked;
      asked = null;
      if (last) this.ask(last);
    },
  };
}

/** Whether two questions are of the same pieces, boards and shop, whether they are to be solved or not. */
export const sameQuestion = (before: LayoutAsk, next: LayoutAsk): boolean =>
  (Object.keys(next) as (keyof LayoutAsk)[]).every(
    (key) => key === 'solve' || before[key] === next[key] || dequal(before[key], next[key]),
  );

/** Whether a question is answered by what was asked before: the very same, and solved where it has to be. */
const sameAsk = (before: LayoutAsk, next: LayoutAsk): boolean =>
  (before.solve || !next.solve) && sameQuestion(before, next);

export const runner = createRunner(() =>
  typeof Worker === 'undefined'
    ? null
    : new Worker(new URL('../workers/layout.worker.ts', import.meta.url), { type: 'module' }),
);
