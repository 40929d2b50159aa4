import type { Equipment, Workshop } from '../../settings/workshop.js';
import type { Running, Stretch } from './task.js';

/** Bands, presses, plates and lathes, each with what it keeps and when. */
export class Units {
  private readonly busy: Readonly<Record<Equipment, Stretch[][]>>;

  constructor(equipment: Workshop['equipment'], running: readonly Running[]) {
    const of = (kind: Equipment): Stretch[][] => Array.from({ length: equipment[kind] }, () => []);
    this.busy = { bands: of('bands'), presses: of('presses'), plates: of('plates'), lathes: of('lathes') };
    for (const { of: kind, until } of running) {
      const unit = this.busy[kind].find((stretches) => stretches.length === 0);
      unit?.push([0, until]);
    }
  }

  /** Which of a kind is free all through a stretch, or −1 and the next moment at which one might be. */
  free(of: Equipment, [from, to]: Stretch): { readonly number: number; readonly next: number } {
    let next = Number.POSITIVE_INFINITY;
    for (const [number, stretches] of this.busy[of].entries()) {
      const over = stretches.find((busy) => busy[0] < to && busy[1] > from);
      if (!over) return { number, next: from };
      next = Math.min(next, over[1]);
    }
    return { number: -1, next };
  }

  take(of: Equipment, number: number, stretch: Stretch): void {
    this.busy[of][number]!.push(stretch);
  }
}
