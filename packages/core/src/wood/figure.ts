import { z } from 'zod';
import { length, number } from '../measure/field.js';
import { mm } from '../measure/quantity.js';

/** What of a wood's growth shows on a face that has been planed or turned. */
export const figureSchema = z.strictObject({
  /** Distance of its growth lines. */
  ringMm: length('Distance of growth lines', 0.3, 30),
  /** How much darker late wood is than early wood. */
  contrast: number('Contrast of growth lines', 0, 90, ' %'),
  /** Vessels that are cut open: not to be seen, as fine dots and dashes, or coarse. */
  pores: z.enum(['none', 'fine', 'coarse']),
});
export type Figure = z.infer<typeof figureSchema>;

/** The figure of a wood that nothing is said of. */
export const PLAIN_FIGURE: Figure = { ringMm: mm(3), contrast: 10, pores: 'fine' };

const figure = (ringMm: number, contrast: number, pores: Figure['pores']): Figure => ({
  ringMm: mm(ringMm),
  contrast,
  pores,
});

/** Figures of the woods that ship with Fellside, by id: working values, from memory of their faces. */
export const SHIPPED_FIGURES: Readonly<Record<string, Figure>> = {
  'sugar-maple': figure(2.5, 9, 'fine'),
  'red-maple': figure(3, 11, 'fine'),
  'black-walnut': figure(3.5, 24, 'coarse'),
  'black-cherry': figure(3, 13, 'fine'),
  'yellow-poplar': figure(4, 14, 'none'),
  'white-oak': figure(2.5, 20, 'coarse'),
  'red-oak': figure(3, 22, 'coarse'),
  'white-ash': figure(3.5, 26, 'coarse'),
  'american-holly': figure(1.5, 3, 'none'),
  'american-beech': figure(2.5, 9, 'fine'),
  'yellow-birch': figure(3, 11, 'fine'),
  'black-locust': figure(3.5, 24, 'coarse'),
  'osage-orange': figure(3.5, 22, 'coarse'),
  basswood: figure(3.5, 5, 'none'),
  'american-sycamore': figure(2.5, 11, 'fine'),
  hornbeam: figure(2, 5, 'none'),
  yew: figure(1.6, 30, 'none'),
  mahogany: figure(7, 11, 'coarse'),
  sapele: figure(5, 16, 'coarse'),
  purpleheart: figure(7, 8, 'fine'),
  wenge: figure(1.8, 48, 'coarse'),
  padauk: figure(7, 16, 'coarse'),
  bubinga: figure(5, 20, 'fine'),
  yellowheart: figure(7, 6, 'fine'),
  bloodwood: figure(6, 12, 'fine'),
  zebrawood: figure(6, 60, 'coarse'),
  'african-ebony': figure(9, 14, 'fine'),
  teak: figure(4, 22, 'coarse'),
  jatoba: figure(5, 14, 'coarse'),
  iroko: figure(7, 16, 'coarse'),
  canarywood: figure(5, 30, 'fine'),
  rosewood: figure(4.5, 40, 'fine'),
};
