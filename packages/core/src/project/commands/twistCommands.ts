import type { TwistedParams } from '../../making/twisted/params.js';
import { slicesOf } from '../../making/twisted/told.js';
import { say, sayMm } from '../../measure/said.js';
import type { Project, Ring } from '../schema.js';
import type { Command } from './command.js';
import { named, type Rings } from './each.js';
import { meantWoods } from './wayCommands.js';

export interface TwistWay {
  /** Every slice by the same step; each step larger than the one before; there and then back. */
  readonly twist: 'steady' | 'growing' | 'there-and-back';
  /** Between the first two slices, degrees; below 0 it goes the other way round. */
  readonly stepDeg: number;
}

/** Turn of each slice from the first, degrees. */
export function twistTurns(slices: number, { twist, stepDeg }: TwistWay): number[] {
  let turn = 0;
  return Array.from({ length: slices }, (_, i) => {
    if (i > 0) turn += stepDeg * factor(i, slices, twist);
    return turn;
  });
}

function factor(i: number, slices: number, twist: TwistWay['twist']): number {
  if (twist === 'growing') return 1 + ((i - 1) * 2) / Math.max(1, slices - 1);
  return twist === 'there-and-back' && i > slices / 2 ? -1 : 1;
}

/** Twisted rings that come from one section, bottom to top, among some. */
export function projectedSections(rings: readonly Ring[], among: Rings): number[][] {
  const sections: number[][] = [];
  for (const index of [...among].sort((a, b) => a - b)) {
    const making = rings[index]?.making;
    if (making?.way !== 'twisted') continue;
    const last = sections.at(-1);
    const before = last && rings[last[0]!]!.making;
    if (last && before?.way === 'twisted' && before.from === making.from) last.push(index);
    else sections.push([index]);
  }
  return sections;
}

/**
 * Divides twisted rings into sections that their board gives slices for, and turns every slice on from the one below; the
 * register strip runs on from section to section.
 */
export const twistStack = (rings: Rings, way: TwistWay): Command => ({
  label: `Twist ${named(rings)}`,
  apply(draft) {
    const order = [...rings].sort((a, b) => a - b).filter((i) => draft.rings[i]!.making.way === 'twisted');
    const first = draft.rings[order[0] ?? -1]?.making;
    if (first?.way !== 'twisted') return undefined;
    const thickest = Math.max(...order.map((i) => draft.rings[i]!.heightMm));
    const each = slicesOf(first.boardMm, thickest, first.kerfMm);
    if (each < 1)
      return {
        reasons: [
          {
            code: 'slice-thicker-than-board',
            path: `rings.${order[0]}.making.boardMm`,
            message: say`The slices are ${sayMm(thickest)} thick and the board ${sayMm(first.boardMm)}; not one comes out of it.`,
          },
        ],
      };
    const start = draft.rings[order[0]!]!.turn;
    const turns = twistTurns(order.length, way);
    let name = '';
    order.forEach((index, i) => {
      if (i % each === 0) name = freshSection(draft, order.slice(i));
      const ring = draft.rings[index]!;
      const making: TwistedParams = { ...first, from: name };
      ring.making = making;
      ring.turn = wrap(start + turns[i]!);
      ring.woods = [...draft.rings[order[i - (i % each)]!]!.woods];
    });
    return undefined;
  },
});

/** Turns lie between −360 and 360 pitches. */
const wrap = (turn: number): number => turn - 360 * Math.trunc(turn / 360);

/** A name that no ring has but those that are being named anew. */
function freshSection({ rings }: Project, anew: Rings): string {
  const taken = new Set(
    rings.flatMap(({ making }, i) => (making.way === 'twisted' && !anew.includes(i) ? [making.from] : [])),
  );
  for (let n = 1; ; n++) if (!taken.has(`section-${n}`)) return `section-${n}`;
}

/** Rings as a basket: all but the lowest and the highest woven, each half a segment on; these two as plain dark caps. */
export const basketBand = (rings: Rings): Command => ({
  label: `Basket band of ${named(rings)}`,
  apply(draft) {
    const order = [...rings].sort((a, b) => a - b);
    const sample = order.map((i) => draft.rings[i]!.making).find((making) => 'woven' in making);
    if (sample?.way !== 'segmented') return undefined;
    const woods = meantWoods(draft, sample)!;
    order.forEach((index, i) => {
      const ring = draft.rings[index]!;
      const cap = i === 0 || i === order.length - 1;
      ring.making = cap ? { way: 'segmented', count: sample.count } : { ...sample };
      ring.woods = cap ? Array.from({ length: sample.count }, () => woods.at(-1)!) : [...woods];
      ring.turn = (i % 2) / 2;
    });
    return undefined;
  },
});
