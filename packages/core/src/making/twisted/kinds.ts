import { mm, rad } from '../../measure/quantity.js';
import { say } from '../../measure/said.js';
import type { RingNeed } from '../../ring/need.js';
import { area, type Point } from '../../ring/plane.js';
import type { PieceKind } from '../contract.js';
import type { TwistedParams } from './params.js';
import type { SharedBoard } from './scribed.js';
import { ARC, stripOutline } from './strips.js';

/** A section's board: where its strips lie across it, what the disc has of each, how thick it is. */
export interface SectionBoard {
  readonly across: readonly { readonly from: number; readonly to: number }[];
  readonly outlines: readonly (readonly Point[])[];
  readonly thickMm: number;
  readonly shared: SharedBoard | null;
}

/** A piece for every strip that the disc meets: of the first slice as a block of the board, of the others sawn off it. */
export function stripKinds(
  { stripsMm, kerfMm, cleanUpMm }: TwistedParams,
  need: RingNeed,
  { across, outlines, thickMm, shared }: SectionBoard,
): PieceKind[] {
  const { heightMm } = need;
  const { members, index } = need.body ?? { members: [need], index: 0 };
  const slicing = {
    slices: members.length,
    inRing: 1,
    kerfMm,
    cleanUpMm,
    keptMm: mm(members.reduce((sum, ring) => sum + ring.heightMm, 0)),
  };
  return outlines.flatMap((outline, place): PieceKind[] => {
    if (outline.length === 0) return [];
    const chord = mm(Math.max(...outline.map(({ x }) => 2 * x)));
    const sized = mm(stripsMm[place]!);
    return [
      {
        name: say`Strip ${place + 1}`,
        grain: 'across',
        heightMm,
        stock:
          index > 0 || shared?.holds === false
            ? { from: 'slice', longEdgeMm: chord, shortEdgeMm: chord, widthMm: sized, cutAngle: rad(0) }
            : {
                from: 'panel',
                shape: 'block',
                lengthMm: shared ? mm(shared.lengthMm) : chord,
                widthMm: sized,
                thicknessMm: mm(thickMm),
                slicing,
                ...(shared && { givesMm3: stripVolume(across[place]!, shared) }),
              },
        places: [place],
      },
    ];
  });
}

/** What all slices of a board have of one of its strips, mm³. */
const stripVolume = ({ from, to }: { from: number; to: number }, { discs, sections }: SharedBoard): number =>
  discs.reduce((sum, { radiusMm }, i) => {
    const outline = stripOutline(radiusMm / Math.cos(ARC / 2), from, to);
    const high = sections[i]!.reduce((height, ring) => height + ring.heightMm, 0);
    return outline.length === 0 ? sum : sum + area(outline) * high;
  }, 0);
