import { lots } from '../measure/lots.js';

/** Numbers drawn for one build; the same seed draws the same, whatever the errors are. */
export interface Draws {
  /** From the normal distribution about 0 with a standard deviation of 1. */
  normal(): number;
}

/** Spreads neighbouring seeds over all that there are (golden ratio, Knuth). */
const SPREAD = 0x9e3779b1;

/** Normal numbers from evenly spread ones (Box and Muller 1958). */
export function drawsOf(seed: number): Draws {
  const lot = lots(Math.imul(seed + 1, SPREAD));
  let waiting: number | null = null;
  return {
    normal() {
      if (waiting !== null) {
        const second = waiting;
        waiting = null;
        return second;
      }
      const far = Math.sqrt(-2 * Math.log(1 - lot()));
      const way = 2 * Math.PI * lot();
      waiting = far * Math.sin(way);
      return far * Math.cos(way);
    },
  };
}

/** What settings are out by in one build: drawn once for each, at its first use, and the same for all that is cut with it. */
export class Settings {
  private readonly drawn = new Map<string, number>();
  constructor(private readonly draws: Draws) {}

  of(name: string): number {
    const known = this.drawn.get(name);
    if (known !== undefined) return known;
    const error = this.draws.normal();
    this.drawn.set(name, error);
    return error;
  }
}
