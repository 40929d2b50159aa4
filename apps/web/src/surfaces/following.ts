import type { Fineness, SampledWall, Side } from '@fellside/core';
import type { Geometry, Shape } from '../workers/geometry.js';

/** A wall that is wanted: at once so, and then better where it says how. */
export interface Wanted {
  readonly shape: Shape;
  readonly side: Side;
  readonly atOnce: Fineness;
  readonly better: Fineness | null;
}

/**
 * Follows a shape that changes quicker than it can be sampled: what is begun at once is finished and shown, however often another is
 * wanted meanwhile, and the last of those is next; what was only to become better is left for it.
 */
export function following(service: Geometry, asker: string, show: (wall: SampledWall, shape: Shape) => void) {
  let next: Wanted | null = null;
  let now: 'idle' | 'at once' | 'better' = 'idle';
  let ended = false;
  const sampled = async ({ shape, side }: Wanted, fineness: Fineness) => {
    const wall = await service.sample(asker, shape, side, fineness);
    if (wall && !ended) show(wall, shape);
  };
  async function follow(): Promise<void> {
    for (let wanted = next; wanted; wanted = next) {
      next = null;
      now = 'at once';
      await sampled(wanted, wanted.atOnce);
      if (next || ended || !wanted.better) continue;
      now = 'better';
      await sampled(wanted, wanted.better);
    }
    now = 'idle';
  }
  return {
    want(wanted: Wanted): void {
      next = wanted;
      if (now === 'idle') void follow();
      else if (now === 'better') void service.drop(asker);
    },
    end(): void {
      next = null;
      ended = true;
      void service.drop(asker);
    },
  };
}
