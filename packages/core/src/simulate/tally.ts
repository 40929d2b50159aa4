/** Bins up to this (mm, or times what is seen), and how fine they are near 0 and, as a share, beyond. */
const MOST = 1e4;
const FINEST = 1e-3;
const SHARE = 0.01;
const LOG = Math.log1p(SHARE);
const BINS = Math.ceil(Math.log(MOST / FINEST) / LOG) + 1;

/**
 * A figure of many builds, counted in bins whose width is a hundredth of what they hold: the memory it takes does not grow.
 * Values of either sign; a quantile is right to half a bin.
 */
export class Tally {
  private readonly over = new Uint32Array(BINS);
  private readonly under = new Uint32Array(BINS);
  private around = 0;
  count = 0;

  add(value: number): void {
    this.count++;
    const size = Math.abs(value);
    if (size < FINEST) this.around++;
    else {
      const bin = Math.min(BINS - 1, Math.floor(Math.log(Math.min(size, MOST) / FINEST) / LOG));
      (value > 0 ? this.over : this.under)[bin]!++;
    }
  }

  /** The value that this share of all builds does not exceed; 0 before the first. */
  quantile(share: number): number {
    let left = Math.max(1, Math.ceil(share * this.count));
    if (this.count === 0) return 0;
    for (let bin = BINS - 1; bin >= 0; bin--) {
      left -= this.under[bin]!;
      if (left <= 0) return -middle(bin);
    }
    left -= this.around;
    if (left <= 0) return 0;
    for (let bin = 0; bin < BINS; bin++) {
      left -= this.over[bin]!;
      if (left <= 0) return middle(bin);
    }
    return MOST;
  }

  /** The share of builds over a value. */
  shareOver(value: number): number {
    if (this.count === 0) return 0;
    let over = 0;
    for (let bin = 0; bin < BINS; bin++) {
      if (middle(bin) > value) over += this.over[bin]!;
      if (-middle(bin) > value) over += this.under[bin]!;
    }
    return (over + (value < 0 ? this.around : 0)) / this.count;
  }
}

const middle = (bin: number): number => FINEST * Math.exp((bin + 0.5) * LOG);

/** What is told of a figure: what half of all builds do not exceed, what nine of ten and nineteen of twenty do not. */
export interface Spread {
  readonly middling: number;
  readonly most: number;
  readonly least: number;
}

/** The middle, and the values between which nine of ten builds lie. */
export const spreadOf = (tally: Tally): Spread => ({
  least: tally.quantile(0.05),
  middling: tally.quantile(0.5),
  most: tally.quantile(0.95),
});
