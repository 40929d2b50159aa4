import type { Vessel } from '../../form/vessel.js';
import type { RingPlan } from '../../lumber/ringPlan.js';
import { type Said, say, sayMm } from '../../measure/said.js';
import type { Shop } from '../../settings/shop.js';
import { type Cavity, cavityOf, upsideDown } from '../cavity.js';
import { type GlueUp, gluedUpBy } from './glueUps.js';
import type { Schools, Stacking } from './schools.js';
import { type Forced, type Inside, type ReachStage, reachStages } from './stops.js';

/** What of a ring the order of work hangs on. */
export type OrderedRing = Pick<RingPlan, 'index' | 'id' | 'course' | 'bottomMm' | 'topMm' | 'need' | 'gives'>;

/** Rings that are built up on one plate: `lower` and `body` from the foot, `upper` and `lid` upside down from the top. */
export interface Section {
  readonly id: 'body' | 'lower' | 'upper' | 'lid';
  /** Places of its rings in the piece, in the order in which they go on. */
  readonly rings: readonly number[];
  readonly stages: readonly Stage[];
  /** Its hollow as it hangs or stands on its plate, and the upper faces of its rings in the same heights (mm). */
  readonly cavity: Cavity;
  readonly topsMm: readonly number[];
}

/** Whether a section is built upside down. */
export const hangs = ({ id }: Pick<Section, 'id'>): boolean => id === 'upper' || id === 'lid';

/** Rings that go on before the inside is worked at again. */
export interface Stage {
  readonly rings: readonly number[];
  readonly glueUps: readonly GlueUp[];
  /** Why it ends here, with the number that forces it; null where the section ends. */
  readonly because: Said | null;
  /** Those of its rings that are hollowed. */
  readonly hollow: readonly number[];
  /** Hands get at what is hollowed in it. */
  readonly sanded: boolean;
}

export interface Assembly {
  readonly stacking: Stacking;
  readonly sections: readonly Section[];
  /** Why it is built so, and what was asked for and cannot be. */
  readonly because: readonly Said[];
}

/** Rings of a batch where nothing is chosen, common practice. */
export const USUAL_BATCH = 4;
/** Stages from which two halves are looked at. */
const MANY_STAGES = 3;

/** How a piece is put together: as it was chosen, where it can be, else as is proposed. */
export function assemblyOf(
  vessel: Vessel,
  rings: readonly OrderedRing[],
  shop: Pick<Shop, 'reachMm' | 'workshop'>,
  schools: Schools = {},
): Assembly {
  const building = { vessel, rings, inside: insideOf(shop), batch: schools.batch ?? USUAL_BATCH };
  const { stacking: chosen } = schools;
  const because: Said[] = [];
  const wrong = chosen ? cannotBe(chosen, vessel, rings) : null;
  if (wrong) because.push(wrong);
  if (chosen && !wrong) return { stacking: chosen, sections: sectionsOf(building, chosen), because };
  if (vessel.joined) {
    because.push(
      say`The hollow has no mouth: two halves are hollowed each through its open side, and joined at ${sayMm(vessel.lidMm!)}.`,
    );
    return { stacking: 'halves', sections: sectionsOf(building, 'halves'), because };
  }
  if (vessel.lidMm !== null) {
    because.push(
      'Built from both ends, lid and body on plates of their own, the lid never has to be parted.',
    );
    return { stacking: 'both-ends', sections: sectionsOf(building, 'both-ends'), because };
  }
  const onLathe = sectionsOf(building, 'ring-by-ring');
  const stages = onLathe[0]!.stages.length;
  if (stages >= MANY_STAGES && !cannotBe('halves', vessel, rings)) {
    const halves = sectionsOf(building, 'halves');
    const fewer = halves.reduce((sum, { stages }) => sum + stages.length, 0);
    if (fewer < stages) {
      because.push(
        say`Ring by ring the inside would have to be finished ${stages} times before the top goes on; as two halves ${fewer} times. The last joint, ${sayMm(2 * radiusAtJoint(building))} across, cannot be cleaned inside.`,
      );
      return { stacking: 'halves', sections: halves, because };
    }
  }
  if (stages > 1)
    because.push(
      say`The inside is finished in ${stages} stages: from the finished mouth it is not all got at.`,
    );
  return { stacking: 'ring-by-ring', sections: onLathe, because };
}

/** Why a way of stacking cannot be for a piece; null where it can. */
export function cannotBe(stacking: Stacking, vessel: Vessel, rings: readonly OrderedRing[]): Said | null {
  if (vessel.joined)
    return stacking === 'halves' || stacking === 'rod'
      ? null
      : 'The hollow has no mouth to be worked through: it is made of two halves, or of rings on a rod.';
  if (stacking === 'both-ends' && vessel.lidMm === null)
    return 'The piece has no lid: there is nothing to build from the other end.';
  if (stacking !== 'halves') return null;
  if (vessel.lidMm !== null)
    return 'A piece with a lid is built from both ends; its body is not halved besides.';
  const widest = widestOf(rings);
  return widest > 0 && widest < rings.length - 1
    ? null
    : 'The piece is widest at its foot or its mouth: there is no middle to join two halves at.';
}

interface Building {
  readonly vessel: Vessel;
  readonly rings: readonly OrderedRing[];
  readonly inside: Inside;
  readonly batch: number;
}

/** What works at an inside in a shop. */
export const insideOf = ({ reachMm, workshop: { tools } }: Pick<Shop, 'reachMm' | 'workshop'>): Inside => {
  const straight = { shaftMm: tools.barMm, overhangMm: reachMm, sweepMm: 0 };
  const hooked = tools.sweepMm > 0 ? [{ ...straight, sweepMm: tools.sweepMm }] : [];
  return { tools: [straight, ...hooked], hands: tools };
};

/** The ring that reaches farthest out, the highest of those that do. */
const widestOf = (rings: readonly OrderedRing[]): number =>
  rings.reduce((best, { need }, i) => (need.outerRadiusMm >= rings[best]!.need.outerRadiusMm ? i : best), 0);

/** The highest ring of the lower half: where the piece is widest, or where a hollow without a mouth is joined. */
const jointOf = ({ vessel, rings }: Building): number =>
  vessel.joined
    ? Math.min(
        Math.max(0, rings.length - 2),
        Math.max(
          0,
          rings.findLastIndex(({ bottomMm, topMm }) => (bottomMm + topMm) / 2 < vessel.lidMm!),
        ),
      )
    : widestOf(rings);

const radiusAtJoint = ({ rings }: Building): number => rings[widestOf(rings)]!.need.outerRadiusMm;

function sectionsOf(building: Building, stacking: Stacking): Section[] {
  const { vessel, rings } = building;
  const all = rings.map((_, i) => i);
  const cavity = cavityOf(vessel);
  const section = (id: Section['id'], of: readonly number[], hollow: Cavity): Section => {
    const down = hangs({ id });
    const order = down ? [...of].reverse() : of;
    const own = down ? upsideDown(hollow, vessel.heightMm) : hollow;
    const tops = order.map((ring) => {
      const { topMm, bottomMm } = rings[ring]!;
      return down ? vessel.heightMm - bottomMm : topMm;
    });
    const stages = stagesOf(building, stacking, order, own, tops);
    return { id, rings: order, stages, cavity: own, topsMm: tops };
  };
  if (stacking === 'halves') {
    const joint = jointOf(building);
    return [
      section('lower', all.slice(0, joint + 1), {
        ...cavity,
        toMm: Math.min(cavity.toMm, rings[joint]!.topMm),
      }),
      section('upper', all.slice(joint + 1), {
        ...cavity,
        fromMm: Math.max(cavity.fromMm, rings[joint]!.topMm),
      }),
    ];
  }
  if (stacking === 'both-ends') {
    const line = vessel.lidMm!;
    const body = all.filter((ring) => rings[ring]!.bottomMm < line);
    const parts = [section('body', body, { ...cavity, toMm: Math.min(cavity.toMm, line) })];
    const lid = all.slice(body.length);
    if (lid.length > 0) parts.push(section('lid', lid, { ...cavity, fromMm: Math.max(cavity.fromMm, line) }));
    return parts;
  }
  return [section('body', all, cavity)];
}

function stagesOf(
  { vessel, rings, inside, batch }: Building,
  stacking: Stacking,
  order: readonly number[],
  cavity: Cavity,
  tops: readonly number[],
): Stage[] {
  const hollow = vessel.inside !== null && cavity.toMm > cavity.fromMm;
  const whole: ReachStage = { from: 0, to: order.length - 1, because: null, sanded: true };
  // On a rod every ring is open on both faces until it is glued.
  const reached = hollow && stacking !== 'rod' ? reachStages(cavity, tops, inside) : [whole];
  return reached.map(({ from, to, because, sanded }) => {
    const of = order.slice(from, to + 1);
    return {
      rings: of,
      glueUps: gluedUpBy(stacking, of, from === 0 ? null : order[from - 1]!, batch),
      because: because && forcedSaid(because, order, tops, rings),
      hollow: hollow ? of.filter((_, i) => tops[from + i]! > cavity.fromMm) : [],
      sanded,
    };
  });
}

function forcedSaid(
  { by, next, atMm, mouthMm }: Forced,
  order: readonly number[],
  tops: readonly number[],
  rings: readonly OrderedRing[],
): Said {
  const ring = rings[order[next]!]!.index + 1;
  const who = by === 'tool' ? 'no tool' : 'neither hand nor fingers';
  return say`Stop here: through ring ${ring}, ${sayMm(mouthMm)} open, ${who} would get at the inside ${sayMm(tops[next]! - atMm)} below its top.`;
}
