/** How rings are turned against each other: half a segment every other ring, not at all, or a steady step. */
export type Bond =
  | { readonly kind: 'brick' }
  | { readonly kind: 'grid' }
  | { readonly kind: 'spiral'; readonly step: number };

/** Two turns nearer than this are the same: a thousandth of a segment. */
const SAME_TURN = 1e-3;

const whole = (turn: number): boolean => Math.abs(turn - Math.round(turn)) < SAME_TURN;

/** Turn of the `i`th ring of a bond, in segments; a spiral counts from its first ring. */
export function turnIn(bond: Bond, i: number): number {
  if (bond.kind === 'grid') return 0;
  return bond.kind === 'brick' ? (i % 2) / 2 : (i * bond.step) % 1;
}

/** The bond that neighbouring rings of these turns are in; null where they follow none, or there is only one. */
export function bondOf(turns: readonly number[]): Bond | null {
  const steps = turns.slice(1).map((turn, i) => turn - turns[i]!);
  const first = steps[0];
  if (first === undefined) return null;
  if (steps.every(whole)) return { kind: 'grid' };
  if (steps.every((step) => whole(step - 0.5))) return { kind: 'brick' };
  if (!steps.every((step) => whole(step - first))) return null;
  const step = ((first % 1) + 1) % 1;
  return { kind: 'spiral', step: step > 0.5 ? step - 1 : step };
}
