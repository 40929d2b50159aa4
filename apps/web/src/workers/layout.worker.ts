import { expose, proxy, wrap } from 'comlink';
import { type LayoutAsk, type LayoutState, layOutBoards, type Solving, type WoodState } from './layout.js';
import type { WoodService } from './wood.worker.js';

export interface LayoutService {
  run(ask: LayoutAsk, tell: (state: LayoutState) => void): Promise<void>;
}

/** Workers of its own, ended with it: as many as the machine does side by side, one left for who looks on. */
function solversOf(count: number): Solving {
  const idle = Array.from({ length: count }, () =>
    wrap<WoodService>(new Worker(new URL('./wood.worker.ts', import.meta.url), { type: 'module' })),
  );
  const waiting: (() => void)[] = [];
  const withOne = async <T>(work: (service: WoodService) => Promise<T>): Promise<T> => {
    while (idle.length === 0) await new Promise<void>((free) => waiting.push(free));
    const service = idle.pop()!;
    try {
      return await work(service as unknown as WoodService);
    } finally {
      idle.push(service);
      waiting.shift()?.();
    }
  };
  return {
    wood: (ask, wood, tell) =>
      withOne((service) =>
        service.wood(
          ask,
          wood,
          proxy((state: WoodState) => tell(state)),
        ),
      ),
    copies: (ask) => withOne((service) => service.copies(ask)),
  };
}

const service: LayoutService = {
  run: (ask, tell) =>
    layOutBoards(ask, solversOf(Math.max(1, Math.min(8, navigator.hardwareConcurrency - 1))), tell),
};

expose(service);
