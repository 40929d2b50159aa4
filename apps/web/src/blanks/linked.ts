import type { BlankMaking, MadeBlank, Point3, Solid } from '@fellside/core';

/** The solids of a blank, and of the second link that passes through it where there is one: upright, its middle aside. */
export function linkedSolids({ solids }: MadeBlank, making: BlankMaking): readonly Solid[] {
  if (making.kind !== 'bent' || making.linkAsideMm === 0) return solids;
  const aside = making.linkAsideMm;
  const stood = ({ x, y, z }: Point3): Point3 => ({ x: x + aside, y: -z, z: y });
  return [...solids, ...solids.map((solid) => ({ ...solid, corners: solid.corners.map(stood) }))];
}
