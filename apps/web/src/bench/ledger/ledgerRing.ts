import type { PreparedRing, RingPlan, UnitSystem } from '@fellside/core';

/** What a row of the ledger is about. */
export interface LedgerRing {
  readonly plan: RingPlan;
  readonly prepared: PreparedRing;
  /** The ring that it lies on. */
  readonly below: PreparedRing | undefined;
  readonly units: UnitSystem;
}
