import type { Equipment, Workshop } from '../../settings/workshop.js';
import type { Running, Stretch } from './task.js';

/** Bands, presses, plates and lathes, each with what it keeps and when. */
export class Units {
  private readonly busy: Readonly<Record<Equipment, Stretch[][]>>;

  private readonly held: { readonly until: string; readonly stretches: Stretch[]; readonly at: number }[] =
    [];

  constructor(equipment: Workshop['equipment'], running: readonly Running[]) {
    const of = (kind: Equipment): Stretch[][] => Array.from({ length: equipment[kind] }, () => []);
    this.busy = { bands: of('bands'), presses: of('presses'), plates: of('plates'), lathes: of('lathes') };
    for (const { of: kind, until } of running) {
      const number = this.busy[kind].findIndex((stretches) => stretches.length === 0);
      if (number < 0) continue;
      if (typeof until === 'number') this.take(kind, number, [0, until]);
      else this.hold(kind, number, 0, until);
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

  /** Kept from a moment until a task is done, whenever that will be. */
  hold(of: Equipment, number: number, from: number, until: string): void {
    const stretches = this.busy[of][number]!;
    this.held.push({ until, stretches, at: stretches.push([from, Number.POSITIVE_INFINITY]) - 1 });
  }

  /** All that was kept until a task is done is free from then on. */
  release(task: string, at: number): void {
    for (const held of this.held) {
      if (held.until !== task) continue;
      const [from] = held.stretches[held.at]!;
      held.stretches[held.at] = [from, Math.max(from, at)];
    }
  }

  take(of: Equipment, number: number, stretch: Stretch): void {
    this.busy[of][number]!.push(stretch);
  }
}
