import type {
  Lumber,
  Plan,
  Prepared,
  Project,
  Roll,
  Shop,
  Species,
  WoodAccount,
  WoodLayout,
} from '@fellside/core';

/** All that the sheets show. */
export interface Shown {
  readonly project: Project;
  readonly plan: Plan;
  readonly prepared: Prepared;
  readonly shop: Shop;
  readonly woods: readonly Species[];
  /** How many of the piece are cut together, and all that is sawn for them. */
  readonly copies: number;
  readonly lumber: Lumber;
  readonly layouts: readonly WoodLayout[];
  readonly accounts: readonly WoodAccount[];
  species(wood: string): Species | undefined;
  /** The same as it looks under the finish of the piece. */
  finished(wood: string): Species | undefined;
  readonly roll: Roll;
}
