import { z } from 'zod';
import { number, text } from '../measure/field.js';
import { type Figure, figureSchema, PLAIN_FIGURE, SHIPPED_FIGURES } from './figure.js';

/** How a wood is hatched in prints and for colour-blind eyes: this project's own code. */
export const hatchSchema = z.strictObject({
  /** Direction of the lines, degrees from level, counter-clockwise. */
  angle: number('Hatch angle', 0, 179, '°'),
  /** Distance between lines, px at screen size. */
  gap: number('Hatch gap', 2, 20),
  line: z.enum(['solid', 'dashed', 'dotted', 'crossed']),
});

/** A kind of wood. Shrinkage is from green to oven-dry in percent; specific gravity is at 12 % moisture. */
export const speciesSchema = z.strictObject({
  id: z.string().regex(/^[a-z0-9-]{2,40}$/, {
    error: ({ input }) =>
      `Wood id is ${JSON.stringify(input)}; it has to be 2 to 40 small letters, digits and hyphens.`,
  }),
  name: text('Wood name', 60),
  latin: text('Botanical name', 80, 0),
  letter: text('Letter', 2),
  hatch: hatchSchema,
  /** sRGB of the finished face, `#rrggbb`. */
  colour: z.string().regex(/^#[0-9a-f]{6}$/, {
    error: ({ input }) => `Colour is ${JSON.stringify(input)}; it has to be like #e6d3a9.`,
  }),
  /** Where the colour goes in light and after how many years half of the way is gone; left out where not known. */
  aged: z
    .strictObject({
      colour: z.string().regex(/^#[0-9a-f]{6}$/, { error: () => 'Aged colour has to be like #8a5a2b.' }),
      halfYears: number('Half-time of ageing', 0.1, 100, ' years'),
    })
    .optional(),
  /** How its growth shows; left out where nothing is known. */
  figure: figureSchema.optional(),
  specificGravity: number('Specific gravity', 0.05, 1.6),
  shrinkage: z
    .strictObject({
      radial: number('Radial shrinkage', 0, 20, ' %'),
      tangential: number('Tangential shrinkage', 0, 30, ' %'),
    })
    .nullable(),
  dust: z.string().max(200).nullable(),
  bleeds: z.boolean(),
  source: text('Source', 200),
});

export type Species = z.infer<typeof speciesSchema>;
export type Hatch = z.infer<typeof hatchSchema>;

/** Density at 12 % moisture, kg/m³: specific gravity (oven-dry mass over volume at 12 %) × 1.12 × water's 1000. */
export const density = (species: Species): number => species.specificGravity * 1120;

/** How a wood's growth shows: as said of it, as is known of its kind, or plainly. */
export const figureOf = ({ id, figure }: Pick<Species, 'id' | 'figure'>): Figure =>
  figure ?? SHIPPED_FIGURES[id] ?? PLAIN_FIGURE;
