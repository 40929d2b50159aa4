import { z } from 'zod';
import { blankSchema } from '../blank/registry.js';
import { formSchema } from '../form/shape.js';
import { inlaySchema, MOST_INLAYS } from '../inlay/schema.js';
import { makingSchema } from '../making/registry.js';
import { length, number, shown, text, whole } from '../measure/field.js';
import { forZod, say, sayMm } from '../measure/said.js';
import { motifUseSchema } from '../pattern/motifUse.js';
import { TONES } from '../pattern/tones.js';
import { SANDED } from '../ring/sanded.js';
import { MOST_SLANTS, slantSchema } from '../ring/slant.js';
import { FINISH_IDS } from '../settings/finishes.js';
import { schoolsSchema } from '../shop/order/schools.js';

export const SCHEMA_VERSION = 14;
export const MOST_BLANKS = 8;
export const MOST_RINGS = 400;

const KEY = /^[a-z0-9-]{1,24}$/;

const key = z.string().regex(KEY, {
  error: ({ input }) =>
    `Palette key is ${shown(input)}; it has to be 1 to 24 small letters, digits and hyphens.`,
});

/** Palette keys of the places of a ring or blank; of wrong ones the first is told, for there may be thousands. */
const woodsField = (most: number) =>
  z.custom<string[]>(
    (given) => Array.isArray(given) && given.length >= 1 && given.length <= most && firstWrong(given) < 0,
    {
      error: ({ input }) => {
        if (!Array.isArray(input))
          return `Woods are ${shown(input)}; they have to be a list of palette keys.`;
        const at = firstWrong(input.slice(0, most));
        return input.length < 1 || input.length > most || at < 0
          ? `There are ${input.length} woods; it has to be 1 to ${most}.`
          : `Wood ${at + 1} is ${shown(input[at])}; it has to be a palette key of 1 to 24 small letters, digits and hyphens.`;
      },
    },
  );

const firstWrong = (given: readonly unknown[]): number =>
  given.findIndex((each) => typeof each !== 'string' || !KEY.test(each));

export const paletteEntrySchema = z.strictObject({
  key,
  tone: z.enum(TONES, { error: () => `Tone is not one of ${TONES.join(', ')}.` }),
  /** Id of a species. */
  wood: z.string().min(1).max(40),
});

export const ringSchema = z.strictObject({
  id: z.string().min(1).max(40),
  heightMm: length('Ring height', 0.5, 300),
  making: makingSchema,
  /** Turned about the axis by this many pitches (a pitch is one segment), counter-clockwise from above. */
  turn: number('Turn', -360, 360, ' segments'),
  /** Id of the motif that its segments show; under it they keep the woods they were painted with. */
  motif: z.string().min(1).max(40).optional(),
  /** Palette key of every place, counted from the index mark. */
  woods: woodsField(2000),
  /** Its pieces are cut: it keeps the woods that it was painted with, whatever motif lies over it. */
  cut: z.literal(true).optional(),
  /** Its height stays when the form is sliced anew or a neighbour's edge is dragged. */
  locked: z.literal(true).optional(),
  /** A ring whose pieces are cut or that comes from stock: what it gives, whatever the form asks for. */
  fixed: z
    .strictObject({
      outerRadiusMm: length('Outer radius of the ring', 1, 1000),
      innerRadiusMm: length('Inner radius of the ring', 0, 1000),
    })
    .refine(({ outerRadiusMm, innerRadiusMm }) => outerRadiusMm > innerRadiusMm, {
      path: ['innerRadiusMm'],
      error: ({ input }) => {
        const { outerRadiusMm, innerRadiusMm } = input as { outerRadiusMm: number; innerRadiusMm: number };
        return forZod(
          say`The ring's inner radius is ${sayMm(innerRadiusMm)}; it has to be smaller than the outer one of ${sayMm(outerRadiusMm)}.`,
        );
      },
    })
    .optional(),
  /** How its segments are sawn: which edge is out along the strip where one may choose, and spares besides the shop's. */
  sawing: z
    .strictObject({
      edge: z
        .enum(['turned-over', 'same-edge'], {
          error: () => 'Pieces are turned over, or the same edge is out.',
        })
        .optional(),
      spares: whole('Spare pieces', 1, 200).optional(),
    })
    .optional(),
  /** Faces that are flattened after gluing; left out where it is as the way usually has it. */
  sanded: z.enum(SANDED, { error: () => 'Both faces are sanded, one, or none.' }).optional(),
  /** As really made; overrides what was planned. */
  measured: z
    .strictObject({
      heightMm: length('Measured thickness', 0.2, 300).optional(),
      /** Across the flats, where it is smallest. */
      diameterMm: length('Measured diameter', 2, 2000).optional(),
    })
    .optional(),
});

/** A motif that lies over all rings which name it, bottom to top, and follows when they change. */
export const laidMotifSchema = z.strictObject({ id: z.string().min(1).max(40), use: motifUseSchema });

/** A picture that lies under the drawing: how large a pixel is, and where axis and bench are in it. */
const underlaySchema = z.strictObject({
  /** Key of the picture on the server: SHA-256 of its bytes. */
  picture: z.string().regex(/^[0-9a-f]{64}$/, { error: () => 'The picture has no proper key.' }),
  mmPerPixel: number('Millimetres a pixel', 0.001, 100),
  axisPixel: number('Axis in the picture', -20000, 20000, ' pixels'),
  benchPixel: number('Bench in the picture', -20000, 20000, ' pixels'),
});

/** A blank that is no ring: a facetted globe, a bent stack. */
const storedBlankSchema = z.strictObject({
  id: z.string().min(1).max(40),
  making: blankSchema,
  /** Palette key of every place. */
  woods: woodsField(30000),
});

/** The whole project. Lengths are mm; everything else about the piece is computed from this. */
export const projectSchema = z.strictObject({
  schema: z.literal(SCHEMA_VERSION, {
    error: ({ input }) => `File version is ${shown(input)}; this Fellside reads version ${SCHEMA_VERSION}.`,
  }),
  name: text('Name', 80),
  form: formSchema,
  /** Bottom to top. */
  rings: z
    .array(ringSchema)
    .min(1, { error: () => 'There is no ring; a piece has at least one.' })
    .max(MOST_RINGS, {
      abort: true,
      error: () => `There are too many rings; ${MOST_RINGS} are allowed.`,
    }),
  motifs: z.array(laidMotifSchema).max(MOST_RINGS, { abort: true }),
  /** Beside the stack; left out where there are none. */
  blanks: z
    .array(storedBlankSchema)
    .max(MOST_BLANKS, {
      abort: true,
      error: () => `There are too many blanks; ${MOST_BLANKS} are allowed.`,
    })
    .optional(),
  /** Slanted bands cut through the stack, in the order in which they are made; left out where there are none. */
  slants: z
    .array(slantSchema)
    .max(MOST_SLANTS, {
      abort: true,
      error: () => `There are too many slanted bands; ${MOST_SLANTS} are allowed.`,
    })
    .optional(),
  /** Outlines let into the turned outside, and patches; left out where there are none. */
  inlays: z
    .array(inlaySchema)
    .max(MOST_INLAYS, {
      abort: true,
      error: () => `There are too many inlays; ${MOST_INLAYS} are allowed.`,
    })
    .optional(),
  palette: z
    .array(paletteEntrySchema)
    .min(1, { error: () => 'The palette is empty; give it at least one wood.' })
    .max(40, { abort: true }),
  allowances: z.strictObject({
    outsideMm: length('Outside allowance', 0, 50),
    insideMm: length('Inside allowance', 0, 50),
  }),
  underlay: underlaySchema.nullable(),
  /** What stands on its passport besides what follows from the plan; left out where nothing was entered. */
  passport: z
    .strictObject({
      maker: text('Maker', 80, 0),
      number: text('Number', 40, 0),
      made: text('Date', 40, 0),
      note: text('Note', 300, 0),
      hours: number('Hours', 0, 10000).optional(),
    })
    .optional(),
  /** What it is finished with; left out where it is as the shop usually does. */
  finish: z
    .enum(FINISH_IDS, { error: () => `The finish is not one of ${FINISH_IDS.join(', ')}.` })
    .optional(),
  /** A disc let into the bottom when the work is turned round: its wood by palette key, and what is written on it. */
  letIn: z
    .strictObject({
      radiusMm: length('Radius of the disc let in', 3, 500),
      depthMm: length('Depth of the disc let in', 0.5, 50),
      wood: key,
      says: z.string().trim().max(120, { error: 'What is written on the disc is at most 120 letters long.' }),
    })
    .optional(),
  /** What was sawn off at the lathe, in the order in which it went; the rings as they were. Left out where nothing was. */
  sawnOff: z
    .array(
      z.strictObject({
        atMm: length('Height of the cut', 0, 2000),
        gone: z.enum(['below', 'above'], { error: () => 'What is below or above the cut is gone.' }),
        rings: z.array(ringSchema).max(MOST_RINGS, { abort: true }),
        /** Slanted bands that went with them. */
        slants: z.array(slantSchema).max(MOST_SLANTS, { abort: true }).optional(),
      }),
    )
    .max(100, { abort: true })
    .optional(),
  /** What was chosen of the ways to build it; left out where it is built as is proposed. */
  schools: schoolsSchema.optional(),
});

export type Project = z.infer<typeof projectSchema>;
export type Ring = z.infer<typeof ringSchema>;
export type Underlay = z.infer<typeof underlaySchema>;
export type PaletteEntry = z.infer<typeof paletteEntrySchema>;
export type StoredBlank = z.infer<typeof storedBlankSchema>;
export type LaidMotif = z.infer<typeof laidMotifSchema>;
