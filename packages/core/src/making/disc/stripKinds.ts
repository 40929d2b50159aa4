import { mm, rad } from '../../measure/quantity.js';
import { say } from '../../measure/said.js';
import { area, type Point } from '../../ring/plane.js';
import type { PieceKind } from '../contract.js';
import type { DiscSize } from './contract.js';
import type { SharedBoard } from './scribed.js';
import { ARC, type Strip, stripOutline } from './stripOutline.js';

/** A piece for every strip that the disc meets: of the first slice as a block of the board, of the others sawn off it. */
export function stripKinds(
  { heightMm, apart }: DiscSize,
  across: readonly Strip[],
  outlines: readonly (readonly Point[])[],
): PieceKind[] {
  const shared = apart?.shared ?? null;
  const counted = !apart || (apart.index === 0 && shared?.holds !== false);
  return outlines.flatMap((outline, place): PieceKind[] => {
    if (outline.length === 0) return [];
    const chord = mm(Math.max(...outline.map(({ x }) => 2 * x)));
    const strip = across[place]!;
    const widthMm = mm(strip.widthMm);
    return [
      {
        name: say`Strip ${place + 1}`,
        grain: 'across',
        heightMm,
        stock: counted
          ? {
              from: 'panel',
              shape: 'block',
              lengthMm: shared ? mm(shared.lengthMm) : chord,
              widthMm,
              thicknessMm: heightMm,
              ...(shared && { givesMm3: stripVolume(strip, shared) }),
            }
          : { from: 'slice', longEdgeMm: chord, shortEdgeMm: chord, widthMm, cutAngle: rad(0) },
        places: [place],
      },
    ];
  });
}

/** What all slices of a board have of one of its strips, mm³. */
const stripVolume = ({ from, to }: Strip, { discs, sections }: SharedBoard): number =>
  discs.reduce((sum, { radiusMm }, i) => {
    const outline = stripOutline(radiusMm / Math.cos(ARC / 2), from, to);
    const high = sections[i]!.reduce((height, ring) => height + ring.heightMm, 0);
    return outline.length === 0 ? sum : sum + area(outline) * high;
  }, 0);
