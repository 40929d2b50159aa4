import { z } from 'zod';
import { length, number, whole } from '../../measure/field.js';
import { backingField } from '../faced/backing.js';

const plug = z.strictObject({
  shape: z.enum(['round', 'square', 'lozenge'], { error: () => 'A plug is round, square or a lozenge.' }),
  /** Diameter, side, or width and height of a lozenge. */
  acrossMm: length('Plug', 0.5, 200),
  /** To the right of the segment's middle, and above half the ring's height. */
  asideMm: length('Plug aside', -200, 200),
  upMm: length('Plug up', -200, 200),
  /** How deep it is let in; left out where it goes through. */
  depthMm: length('Depth of the plug', 0.5, 500).optional(),
});

/** Rings of dots whose size follows a lens: largest in its middle, as they are beyond its rim. */
const lens = z.strictObject({
  /** Segment in whose middle it lies, counted from the index mark, and how often it comes round. */
  segment: number('Lens at segment', 0, 360),
  times: whole('Lenses', 1, 36),
  /** From the middle to the rim, in segments and in rings. */
  segments: number('Lens, segments', 0.5, 180),
  rings: number('Lens, rings', 0.5, 200),
  /** Rings that this one lies above the lens's middle. */
  ring: number('Ring above the lens', -200, 200),
  /** Size in the middle over the size beyond the rim. */
  swell: number('Swell of the lens', 1, 6),
});

export const MOST_PLUGS = 8;

export const plugsSchema = z.strictObject({
  is: z.literal('plugs'),
  /** Where two overlap, the one that comes first goes into the others. */
  plugs: z
    .array(plug)
    .max(MOST_PLUGS, { error: () => `There are too many plugs; ${MOST_PLUGS} a segment are allowed.` }),
  /** An edge of another wood all round the field, all the way through; 0 for none. */
  edge: z.strictObject({
    topMm: length('Edge above', 0, 200),
    bottomMm: length('Edge below', 0, 200),
    sidesMm: length('Edge at the sides', 0, 200),
  }),
  lens: lens.optional(),
  backingMm: backingField,
});

export type Plugs = z.infer<typeof plugsSchema>;

/** Plugs and edges with the number of segments that they go into. */
export type InlaidRing = Plugs & { readonly count: number };
export type PlugParams = Plugs['plugs'][number];
export type Lens = z.infer<typeof lens>;
export type Edge = Plugs['edge'];
