import { type Vessel, wallAt } from '../form/vessel.js';
import { remembered } from '../measure/memo.js';
import { say, sayMm } from '../measure/said.js';
import { ringOwner } from '../ring/owner.js';
import type { Check, Subject } from './check.js';

/** Heights at which the wall is measured. */
const STATIONS = 24;
/** A place counts as thinner than one below it by this much (mm). */
const NOTICED = 0.05;

/** A finished wall thinner than the shop dares. */
export function thinWallChecks({ vessel, rings, shop }: Subject): Check[] {
  if (!vessel.inside) return [];
  const thinnest = thinnestOf(vessel);
  if (thinnest.wall >= shop.leastWallMm - 0.01) return [];
  const ring = rings.find(({ topMm }) => topMm >= thinnest.z);
  const message = say`The wall is only ${sayMm(thinnest.wall)} thick at height ${sayMm(thinnest.z)}; you want at least ${sayMm(shop.leastWallMm)}.`;
  return [{ code: 'thin-wall', owners: ring ? [ringOwner(ring.id)] : [], message, remedies: [] }];
}

/** The thinnest of the stations of a wall, the lowest of those that are alike. */
const thinnestOf = remembered((vessel: Vessel) => {
  const { hollowFromMm: from, hollowToMm: to } = vessel;
  let thinnest = { wall: Infinity, z: from };
  for (let i = 0; i <= STATIONS; i++) {
    const z = from + ((to - from) * i) / STATIONS;
    const wall = wallAt(vessel, z) ?? Infinity;
    if (wall < thinnest.wall - NOTICED) thinnest = { wall, z };
  }
  return thinnest;
});
