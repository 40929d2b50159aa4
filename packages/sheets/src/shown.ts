import type { Plan, Prepared, Project, Roll, Shop, Species, WoodLayout } from '@fellside/core';

/** All that the sheets show. */
export interface Shown {
  readonly project: Project;
  readonly plan: Plan;
  readonly prepared: Prepared;
  readonly shop: Shop;
  readonly woods: readonly Species[];
  readonly layouts: readonly WoodLayout[];
  species(wood: string): Species | undefined;
  readonly roll: Roll;
}
