import type { Shop } from '../../settings/shop.js';
import { type Hidden, hiddenWhere } from '../cavity.js';
import { calliperLeg, handReaches, toolReaches } from '../reach.js';
import type { Flex } from '../stiffness.js';
import { hangs, insideOf, type Section } from './assembly.js';
import { stageFlex } from './bending.js';
import type { Hold } from './held.js';
import { stageId } from './job.js';
import type { OrderedPiece } from './order.js';

/** The work as it is at the end of a stage: rings that are on, how it is held, and what of the inside is not got at from its mouth; heights of the piece, mm. */
export interface StageView {
  readonly rings: readonly number[];
  readonly hold: Hold;
  readonly hidden: readonly (Hidden & { readonly from: 'tools' | 'hands' })[];
  /** Where callipers do not measure the wall from its mouth. */
  readonly unmeasured: readonly Hidden[];
  /** How it gives along its height, before it is hollowed at this stage and after; empty where it is not hollowed. */
  readonly flex: readonly Flex[];
}

/** How the work stands at a stage of the order; null of one that is not at the lathe. */
export function stageView(
  { assembly: { sections }, bending, holds }: Pick<OrderedPiece, 'assembly' | 'bending' | 'holds'>,
  id: string,
  shop: Pick<Shop, 'reachMm' | 'workshop'>,
  heightMm: number,
): StageView | null {
  const hold = holds.get(id);
  if (!hold) return null;
  for (const [i, section] of sections.entries()) {
    const at = section.stages.findIndex((_, stage) => stageId(section.id, stage) === id);
    const stage = section.stages[at];
    if (!stage) continue;
    const rings = section.stages.slice(0, at + 1).flatMap((each) => each.rings);
    const flex =
      stage.hollow.length > 0
        ? stageFlex(section, bending[i]!, at, true).map((each) =>
            hangs(section) ? { ...each, atMm: heightMm - each.atMm } : each,
          )
        : [];
    return { rings, hold, ...hiddenAt(section, rings.length, shop, heightMm), flex };
  }
  return { rings: sections.flatMap(({ rings }) => rings), hold, hidden: [], unmeasured: [], flex: [] };
}

/** What of a section's inside is not got at when so many of its rings are on; heights of the piece. */
function hiddenAt(
  section: Section,
  on: number,
  shop: Pick<Shop, 'reachMm' | 'workshop'>,
  heightMm: number,
): Pick<StageView, 'hidden' | 'unmeasured'> {
  const { cavity, topsMm } = section;
  const mouth = Math.min(topsMm[on - 1]!, cavity.toMm);
  const up = (z: number) => (hangs(section) ? heightMm - z : z);
  const { tools, hands } = insideOf(shop);
  const where = (isHidden: (z: number) => boolean): Hidden[] =>
    hiddenWhere(cavity, mouth, isHidden).map(({ fromMm, toMm }) => {
      const ends = [up(fromMm), up(toMm)];
      return { fromMm: Math.min(...ends), toMm: Math.max(...ends) };
    });
  const hidden = (from: 'tools' | 'hands', isHidden: (z: number) => boolean) =>
    where(isHidden).map((stretch) => ({ ...stretch, from }));
  const leg = calliperLeg(shop.workshop.tools);
  return {
    hidden: [
      ...hidden('tools', (z) => !tools.some((tool) => toolReaches(cavity, z, mouth, tool))),
      ...hidden('hands', (z) => handReaches(cavity, z, mouth, hands) === 'none'),
    ],
    unmeasured: where((z) => !toolReaches(cavity, z, mouth, leg)),
  };
}
