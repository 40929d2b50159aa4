import type { Shop } from '../../settings/shop.js';
import { type Hidden, handReaches, hiddenWhere, toolReaches } from '../reach.js';
import { type Assembly, hangs, insideOf } from './assembly.js';

/** The work as it is at the end of a stage: rings that are on, where its mouth is, and what of the inside is not got at from there; heights of the piece, mm. */
export interface StageView {
  readonly rings: readonly number[];
  readonly upsideDown: boolean;
  readonly mouthMm: number;
  readonly hidden: readonly (Hidden & { readonly from: 'tools' | 'hands' })[];
}

/** Id of a stage of a section in the order of work. */
export const stageId = (section: string, at: number): string => `${section}-${at + 1}`;

/** How the work stands at a stage of the order; null of one that is not at the lathe. */
export function stageView(
  { sections }: Assembly,
  id: string,
  shop: Pick<Shop, 'reachMm' | 'workshop'>,
  heightMm: number,
): StageView | null {
  for (const section of sections)
    for (const [at] of section.stages.entries()) {
      if (stageId(section.id, at) !== id) continue;
      const rings = section.stages.slice(0, at + 1).flatMap((stage) => stage.rings);
      const { cavity, topsMm } = section;
      const mouth = Math.min(topsMm[rings.length - 1]!, cavity.toMm);
      const upsideDown = hangs(section);
      const up = (z: number) => (upsideDown ? heightMm - z : z);
      const { tools, hands } = insideOf(shop);
      const hidden = (from: 'tools' | 'hands', isHidden: (z: number) => boolean) =>
        hiddenWhere(cavity, mouth, isHidden).map(({ fromMm, toMm }) => {
          const ends = [up(fromMm), up(toMm)];
          return { from, fromMm: Math.min(...ends), toMm: Math.max(...ends) };
        });
      return {
        rings,
        upsideDown,
        mouthMm: up(mouth),
        hidden: [
          ...hidden('tools', (z) => !tools.some((tool) => toolReaches(cavity, z, mouth, tool))),
          ...hidden('hands', (z) => handReaches(cavity, z, mouth, hands) === 'none'),
        ],
      };
    }
  return null;
}
