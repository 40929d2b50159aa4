import { type Mm, mm } from '../../measure/quantity.js';
import type { PieceKind } from '../contract.js';
import { farthest } from '../wedge.js';
import type { DiscSource, Floor, LaidDisc } from './contract.js';
import { floorPictures } from './pictures.js';

export const range = (count: number, first = 0): number[] =>
  Array.from({ length: count }, (_, i) => first + i);

/** Pieces of a floor that are sawn to their shape from blocks so long and so wide (mm). */
export const block = (
  name: string,
  lengthMm: number,
  widthMm: number,
  heightMm: Mm,
  places: number[],
): PieceKind => ({
  name,
  grain: 'outwards',
  heightMm,
  stock: {
    from: 'panel',
    shape: 'block',
    lengthMm: mm(lengthMm),
    widthMm: mm(widthMm),
    thicknessMm: heightMm,
  },
  places,
});

/** What floors that are glued up flat are called. */
export const MEDALLION: DiscSource<never>['called'] = {
  whole: { start: 'medallion', called: 'Medallion floor' },
  sliced: { start: 'medallion', called: 'Medallion floor, sliced' },
};

/** A floor as a disc. */
export const asDisc = ({ outlines, stepOf, ...floor }: Floor): LaidDisc => ({
  ...floor,
  laidOnPlan: true,
  cornerMm: Math.max(...outlines.map(farthest)),
  lay: (place) => ({ place, bottom: outlines[place]!, top: outlines[place]! }),
  pictures: () => floorPictures(outlines, floor.kinds, stepOf),
});
