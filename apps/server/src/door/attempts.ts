/** So many wrong passphrases in a row are let pass at once; then each makes the next wait longer. */
const FREE = 5;
const FIRST_WAIT = 2_000;
const LONGEST_WAIT = 15 * 60_000;

/**
 * Limits guesses at the passphrase: for all who ask together, since whoever guesses can come from many addresses. A right
 * one begins anew.
 */
export class Attempts {
  private wrong = 0;
  private closedUntil = 0;

  /** How long one has to wait before the next try, ms; 0 where one may try. */
  wait(now: number): number {
    return Math.max(0, this.closedUntil - now);
  }

  failed(now: number): void {
    this.wrong++;
    const over = this.wrong - FREE;
    if (over >= 0) this.closedUntil = now + Math.min(LONGEST_WAIT, FIRST_WAIT * 2 ** Math.min(over, 20));
  }

  passed(): void {
    this.wrong = 0;
    this.closedUntil = 0;
  }
}
