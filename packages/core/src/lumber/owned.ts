import type { PieceKind } from '../making/contract.js';
import type { Owner } from '../ring/owner.js';

/** Pieces of one kind and one wood that a ring, a slanted band or a blank is made of. */
export interface OwnedPieces {
  readonly owner: Owner;
  readonly wood: string;
  readonly kind: PieceKind;
  readonly count: number;
  /** The places that they fill. */
  readonly places: readonly number[];
  /** Of one piece as it lies in the ring, mm³. */
  readonly volumeMm3: number;
  /** How many faces are sanded after gluing; two where nothing is said. */
  readonly sanded?: 0 | 1 | 2;
  /** Spares wanted besides those of the shop's rule. */
  readonly spares?: number;
}
