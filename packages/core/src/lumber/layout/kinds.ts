import { type Mm, mm } from '../../measure/quantity.js';
import { type Said, say } from '../../measure/said.js';
import { nextStep } from '../../measure/step.js';
import { SAME_SETTING } from '../../measure/tolerance.js';
import type { Shop } from '../../settings/shop.js';
import { cutsFor, endsAlong, kerfAlong, pieceAlong, type StripSetting } from '../cutting.js';
import type { Lumber, PanelEntry } from '../lumber.js';
import type { Cut } from '../strips.js';
import { up } from './tenths.js';

/** Pieces of one size, and for whom they are, in the order in which they are cut. */
export interface DemandPiece {
  readonly along: Mm;
  readonly edgeMm: Mm;
  readonly owners: readonly Pick<
    Cut,
    'owner' | 'purpose' | 'hand' | 'asked' | 'numbers' | 'count' | 'keptMm' | 'resawMm'
  >[];
}

/** Strips of one setting, or blocks of one size, with all that is cut from them. */
export interface DemandKind {
  readonly what: 'strip' | 'block';
  readonly name: Said;
  readonly setting: StripSetting;
  readonly widthMm: Mm;
  /** What of the width goes into the work: a part of a block has edges to joint besides. */
  readonly leastWidthMm: Mm;
  readonly thicknessMm: Mm;
  readonly tailMm: Mm;
  /** What of a block, or of a part of one, lies in the ring, mm³; of strips it follows from the pieces. */
  readonly blockMm3?: number;
  readonly pieces: readonly DemandPiece[];
}

/** What a piece takes along its strip, its kerfs with it. */
export const lengthOf = ({ setting }: DemandKind, { along }: DemandPiece): number =>
  along + (cutsFor(setting, 1) - cutsFor(setting, 0)) * kerfAlong(setting);

export const overheadOf = ({ setting, tailMm }: DemandKind): number =>
  up(cutsFor(setting, 0) * kerfAlong(setting) + endsAlong(setting) + tailMm);

export function stripKinds(wood: string, { strips }: Lumber, shop: Shop): DemandKind[] {
  return strips
    .filter((list) => list.wood === wood)
    .map((list): DemandKind => {
      const setting: StripSetting = { ...list, kerfMm: shop.kerfMm };
      const pieces: { along: Mm; edgeMm: Mm; owners: DemandPiece['owners'][number][] }[] = [];
      for (const cut of list.cuts) {
        const along = mm(pieceAlong(setting, cut.longEdgeMm, cut.boardEdgeMm));
        const same = pieces.find((piece) => Math.abs(piece.along - along) < 1e-6);
        if (same) same.owners.push(cut);
        else pieces.push({ along, edgeMm: cut.longEdgeMm, owners: [cut] });
      }
      return {
        what: 'strip',
        name: 'strip',
        setting,
        widthMm: list.widthMm,
        leastWidthMm: list.widthMm,
        thicknessMm: list.thicknessMm,
        tailMm: shop.holdBackMm,
        pieces,
      };
    });
}

/** Blocks that come from one rip whatever ring they are for: of one size, with as much of each left. */
const sameBlock = (a: PanelEntry, b: PanelEntry): boolean =>
  a.shape === b.shape &&
  (['lengthMm', 'widthMm', 'thicknessMm', 'netMm', 'resawMm'] as const).every(
    (size) => Math.abs(a[size] - b[size]) < SAME_SETTING,
  ) &&
  Math.abs(a.pieceMm3 - b.pieceMm3) <= 1e-6 * a.pieceMm3;

/** Blocks of one size, whatever rings they are for. */
export type Block = readonly PanelEntry[];

export function blocksOf(wood: string, { panels }: Lumber): Block[] {
  const groups: PanelEntry[][] = [];
  for (const panel of panels) {
    if (panel.wood !== wood) continue;
    const same = groups.find(([first]) => sameBlock(first!, panel));
    if (same) same.push(panel);
    else groups.push([panel]);
  }
  return groups;
}

const sizeOf = (block: Block, of: 'lengthMm' | 'widthMm' | 'thicknessMm'): Mm =>
  mm(Math.max(...block.map((panel) => panel[of])));

/** How many parts a block has to be glued up from at least, edge to edge, where no board is wider. */
export const leastParts = (block: Block, widestMm: number): number =>
  Math.max(1, Math.ceil((sizeOf(block, 'widthMm') - 1e-6) / Math.max(1, widestMm)));

/** Shapes that may as well be glued up from narrower boards: what shows of them is a joint along the grain. */
const GLUES_UP: readonly PanelEntry['shape'][] = ['disc', 'layer'];

/** Whether a block may be glued up though a board is wide enough. */
export const gluesUp = ([first]: Block): boolean => GLUES_UP.includes(first!.shape);

/** A block is crosscut square, whole or in equal parts that are glued edge to edge. */
export function blockKind(block: Block, parts: number, shop: Shop): DemandKind {
  const [lengthMm, wholeMm, thicknessMm] = [
    sizeOf(block, 'lengthMm'),
    sizeOf(block, 'widthMm'),
    sizeOf(block, 'thicknessMm'),
  ];
  const widthMm = parts > 1 ? mm(nextStep(wholeMm / parts + shop.edgeJointMm, shop.ripStepMm)) : wholeMm;
  const { name, pieceMm3 } = block[0]!;
  const setting: StripSetting = {
    widthMm,
    thicknessMm,
    cutAngle: 0,
    bladeTilt: 0,
    cutting: 'turned-over',
    kerfMm: shop.kerfMm,
  };
  return {
    what: 'block',
    name: parts > 1 ? say`${name}, part of ${parts} glued edge to edge` : name,
    setting,
    widthMm,
    leastWidthMm: mm(wholeMm / parts),
    thicknessMm,
    tailMm: mm(0),
    blockMm3: pieceMm3 / parts,
    pieces: [
      {
        along: lengthMm,
        edgeMm: lengthMm,
        owners: block.map(({ owner, count, netMm, resawMm }) => ({
          owner,
          purpose: 'piece',
          count: parts * count,
          keptMm: netMm,
          resawMm,
        })),
      },
    ],
  };
}
