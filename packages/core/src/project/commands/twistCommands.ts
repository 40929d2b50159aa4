import { slicesOf } from '../../making/disc/apartTold.js';
import { bodyOf, ofBody, type ParamsOf, pitchOf, type RingMaking } from '../../making/registry.js';
import { TURN } from '../../measure/quantity.js';
import { say, sayMm } from '../../measure/said.js';
import type { Project, Ring } from '../schema.js';
import type { Command } from './command.js';
import { named, type Rings } from './each.js';

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

type Slice = ParamsOf<'disc'> & { readonly after: NonNullable<ParamsOf<'disc'>['after']> };

/** A disc that is a slice of a thick one. */
const isSlice = (making: RingMaking | undefined): making is Slice =>
  making?.way === 'disc' && making.after !== undefined;

/** Discs that are slices of one section, bottom to top, among some rings. */
export function projectedSections(rings: readonly Ring[], among: Rings): number[][] {
  const sections: number[][] = [];
  let before: string | null = null;
  for (const index of [...among].sort((a, b) => a - b)) {
    const making = rings[index]?.making;
    if (!isSlice(making)) continue;
    const { from } = making.after;
    if (from === before) sections.at(-1)!.push(index);
    else sections.push([index]);
    before = from;
  }
  return sections;
}

/**
 * Divides sliced discs into sections that their board gives slices for, and turns every slice on from the one below; the
 * register strip runs on from section to section. Without a thickness of the board they are one section.
 */
export const twistStack = (rings: Rings, way: TwistWay): Command => ({
  label: `Twist ${named(rings)}`,
  apply(draft) {
    const order = [...rings].sort((a, b) => a - b).filter((i) => isSlice(draft.rings[i]!.making));
    const first = draft.rings[order[0] ?? -1]?.making;
    if (!isSlice(first)) return undefined;
    const { boardMm, kerfMm } = first.after;
    const thickest = Math.max(...order.map((i) => draft.rings[i]!.heightMm));
    const each = boardMm === undefined ? order.length : slicesOf(boardMm, thickest, kerfMm);
    if (each < 1)
      return {
        reasons: [
          {
            code: 'slice-thicker-than-board',
            path: `rings.${order[0]}.making.after.boardMm`,
            message: say`The slices are ${sayMm(thickest)} thick and the board ${sayMm(boardMm!)}; not one comes out of it.`,
          },
        ],
      };
    const start = draft.rings[order[0]!]!.turn;
    const turns = twistTurns(order.length, way);
    const pitchesPerDegree = TURN / 360 / pitchOf(first);
    let name = '';
    order.forEach((index, i) => {
      if (i % each === 0) name = freshSection(draft, order.slice(i));
      const ring = draft.rings[index]!;
      ring.making = ofBody(first, name);
      ring.turn = wrap(start + turns[i]! * pitchesPerDegree);
      ring.woods = [...draft.rings[order[i - (i % each)]!]!.woods];
    });
    return undefined;
  },
});

/** Turns lie between −360 and 360 pitches. */
const wrap = (turn: number): number => turn - 360 * Math.trunc(turn / 360);

/** A name that no ring has but those that are being named anew. */
function freshSection({ rings }: Project, anew: Rings): string {
  const taken = new Set(rings.flatMap(({ making }, i) => (anew.includes(i) ? [] : [bodyOf(making)])));
  for (let n = 1; ; n++) if (!taken.has(`section-${n}`)) return `section-${n}`;
}
