import type { Vessel } from '../form/vessel.js';
import { centreOf, placesIn, volumeOfAll } from '../making/layOut.js';
import { type Mm, mm } from '../measure/quantity.js';
import type { Shop } from '../settings/shop.js';
import { type Balance, balanceOf, type Weight } from '../shop/balance.js';
import { cavityOf, type Hidden } from '../shop/cavity.js';
import { calliperLeg, hiddenFrom, hiddenFromHands } from '../shop/reach.js';
import { type Flex, flexAlong, slenderIn } from '../shop/stiffness.js';
import type { Species } from '../wood/species.js';
import { densitiesOf } from './densities.js';
import type { Prepared } from './prepare.js';
import type { Project } from './schema.js';

type Reaching = Pick<Shop, 'reachMm' | 'workshop'>;

/** What the lathe has to do with a piece. */
export interface AtTheLathe {
  /** Across the corners of the widest ring before it is turned. */
  readonly blankMm: Mm;
  /** Of all rings as they are glued up, before anything is turned off. */
  readonly balance: Balance;
  /** Mean density of each ring's woods, kg/m³, from the lowest up. */
  readonly densities: readonly number[];
  /** How the finished form, held by its foot, gives at the top of each ring, from the lowest up. */
  readonly flex: readonly Flex[];
  /** Rings, by their place, that make its top give too much: they are turned last. */
  readonly slender: readonly number[];
  /** What of the inside is not got at from the finished mouth; empty where it is solid. */
  readonly reach: readonly Reached[];
}

/** Something that goes in at the mouth, and what it does not get at. */
export interface Reached {
  readonly by: 'straight' | 'hooked' | 'hands' | 'callipers';
  readonly hidden: readonly Hidden[];
}

function reachOf(vessel: Vessel, { reachMm, workshop: { tools } }: Reaching): Reached[] {
  // A hollow that is closed has no mouth to be reached through.
  if (vessel.inside === null || vessel.joined) return [];
  const [cavity, mouth] = [cavityOf(vessel), vessel.hollowToMm];
  const bar = { shaftMm: tools.barMm, overhangMm: reachMm, sweepMm: 0 };
  return [
    { by: 'straight', hidden: hiddenFrom(cavity, mouth, bar) },
    ...(tools.sweepMm > 0
      ? [{ by: 'hooked' as const, hidden: hiddenFrom(cavity, mouth, { ...bar, sweepMm: tools.sweepMm }) }]
      : []),
    { by: 'hands', hidden: hiddenFromHands(cavity, mouth, tools) },
    { by: 'callipers', hidden: hiddenFrom(cavity, mouth, calliperLeg(tools)) },
  ];
}

/** Weights of all places of the rings that can be made, and the mean density of each ring, kg/m³. */
function weighed({ rings }: Prepared, project: Project, woods: readonly Species[]) {
  const densityOf = densitiesOf(project, woods);
  return rings.map(({ made, turn, ring, stands }) => {
    const weights: Weight[] = [];
    let [kg, mm3] = [0, 0];
    const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
    for (let place = 0; made.ok && place < placesIn(made.value.groups); place++) {
      const parts = made.value.lay(place);
      const at = centreOf(parts);
      const volume = volumeOfAll(parts);
      const own = (volume * densityOf(ring.woods[place])) / 1e9;
      if (at) weights.push({ x: at.x * cos - at.y * sin, y: at.x * sin + at.y * cos, kg: own });
      kg += own;
      mm3 += volume;
    }
    const { bottomMm, topMm } = stands;
    return { weights, bottomMm, topMm, density: mm3 > 0 ? (kg / mm3) * 1e9 : 0 };
  });
}

/** Diameter of the blank, balance and bending of a piece. */
export function atTheLathe(
  prepared: Prepared,
  project: Project,
  woods: readonly Species[],
  shop: Reaching,
): AtTheLathe {
  const rings = weighed(prepared, project, woods);
  const corners = prepared.rings.flatMap(({ made }) => (made.ok ? [2 * made.value.cornerMm] : []));
  return {
    blankMm: mm(Math.max(0, ...corners)),
    balance: balanceOf(rings.flatMap(({ weights }) => weights)),
    densities: rings.map(({ density }) => density),
    flex: flexAlong(prepared.vessel, rings),
    slender: slenderIn(prepared.vessel, rings),
    reach: reachOf(prepared.turned, shop),
  };
}
