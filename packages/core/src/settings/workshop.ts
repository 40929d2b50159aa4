import { z } from 'zod';
import { length, number, whole } from '../measure/field.js';
import { type Mm, mm } from '../measure/quantity.js';
import { climateSchema, USUAL_CLIMATE } from './climate.js';
import { errorsSchema, schoolSchema, USUAL_ERRORS, USUAL_SCHOOL } from './errors.js';
import { FINISH_IDS } from './finishes.js';
import { hoursSchema } from './hours.js';
import { setupsSchema } from './setups.js';

/** What goes in at a mouth. */
const toolsSchema = z.strictObject({
  /** Thickness of the straight hollowing bar. */
  barMm: length('Thickness of the hollowing bar', 3, 60),
  /** How far the end of the hooked tool stands to the side; 0 where there is none. */
  sweepMm: length('Sweep of the hooked tool', 0, 300),
  /** Least opening and greatest depth for a hand with paper, and for fingers alone. */
  handOpenMm: length('Opening for a hand', 20, 300),
  handDeepMm: length('Depth for a hand', 20, 800),
  fingersOpenMm: length('Opening for fingers', 10, 200),
  fingersDeepMm: length('Depth for fingers', 10, 300),
  /** How deep the legs of the wall callipers reach, and how far they are bowed. */
  calliperDeepMm: length('Depth of the callipers', 20, 800),
  calliperBowMm: length('Bow of the callipers', 0, 300),
});
export type Tools = z.infer<typeof toolsSchema>;

/** What holds work: jaws besides those of the chuck, and what is let go again. */
const holdingSchema = z.strictObject({
  /** Widest that jaws for the rim, or a plate with stops, hold; 0 where there are none. */
  rimJawsMostMm: length('Widest in the rim jaws', 0, 1000),
  /** How deep screws, or a glued tenon, go into a waste block. */
  fasteningMm: length('Depth of the fastening in a waste block', 3, 100),
  /** Width of the parting tool. */
  partingMm: length('Width of the parting tool', 1, 15),
  /** Depth of a tenon, or of a recess that is spread. */
  seatDeepMm: length('Depth of tenon or recess', 1, 30),
});
export type HoldingTools = z.infer<typeof holdingSchema>;

/** How many there are of what work waits for. */
export const EQUIPMENT = ['bands', 'presses', 'plates', 'lathes'] as const;
export type Equipment = (typeof EQUIPMENT)[number];
const many = (label: string, least: number) => whole(label, least, 40);
const equipmentSchema = z.strictObject({
  bands: many('Number of ring clamps', 0),
  presses: many('Number of presses', 0),
  plates: many('Number of faceplates', 1),
  lathes: many('Number of lathes', 1),
});

const glueSchema = z.strictObject({
  /** How long glue may lie open before parts have to be together. */
  openMinutes: number('Open time of the glue', 0.5, 120, ' minutes'),
  clampMinutes: number('Time in clamps', 1, 2880, ' minutes'),
  /** From gluing until it is turned. */
  cureHours: number('Time until it is turned', 0.1, 240, ' hours'),
  /** It does not cure below this, and the shop as it is. */
  leastCelsius: number('Least temperature of the glue', -10, 40, ' °C'),
  shopCelsius: number('Temperature of the shop', -30, 50, ' °C'),
});

/** Minutes of hands for what is done over and over. */
export const CHORES = {
  setting: 'set the saw and try it',
  rip: 'plane and rip the strips of a ring',
  cut: 'cut one piece',
  step: 'any other step of a glue-up',
  joint: 'glue one joint of a ring',
  flatten: 'flatten a ring',
  stack: 'centre a ring on the work and glue it',
  mount: 'put work on the lathe',
  turn: 'turn a ring outside',
  hollow: 'hollow a ring',
  sand: 'sand a ring, one side',
  coat: 'put on a coat of finish',
} as const;
export type Chore = keyof typeof CHORES;
export const CHORE_IDS = Object.keys(CHORES) as Chore[];

const minutes = (chore: Chore) => number(`Minutes to ${CHORES[chore]}`, 0.05, 600, ' minutes');
const minutesSchema = z.strictObject(
  Object.fromEntries(CHORE_IDS.map((chore) => [chore, minutes(chore)])) as Record<
    Chore,
    ReturnType<typeof minutes>
  >,
);

const finishSchema = z.strictObject({
  coats: whole('Coats of finish', 0, 20),
  coatHours: number('Hours between coats', 0.1, 240, ' hours'),
  /** What pieces are finished with where they do not say. */
  usual: z.enum(FINISH_IDS, { error: () => `The finish is not one of ${FINISH_IDS.join(', ')}.` }),
});

/** What the shop has for gluing, turning and holding, how long things take in it, and when there is time. */
export const workshopSchema = z.strictObject({
  tools: toolsSchema,
  holding: holdingSchema,
  equipment: equipmentSchema,
  glue: glueSchema,
  minutes: minutesSchema,
  finish: finishSchema,
  errors: errorsSchema,
  school: schoolSchema,
  climate: climateSchema,
  setups: setupsSchema,
  hours: hoursSchema,
});
export type Workshop = z.infer<typeof workshopSchema>;

const inches = (of: number): Mm => mm(of * 25.4);

/** A small shop, common practice throughout; its hours are Saturday, and two hours on three evenings. */
export const DEFAULT_WORKSHOP: Workshop = {
  tools: {
    barMm: inches(0.5),
    sweepMm: inches(2),
    handOpenMm: inches(3),
    handDeepMm: inches(14),
    fingersOpenMm: inches(1.25),
    fingersDeepMm: inches(4),
    calliperDeepMm: inches(8),
    calliperBowMm: inches(2),
  },
  holding: {
    rimJawsMostMm: inches(10),
    fasteningMm: inches(0.5),
    partingMm: inches(0.125),
    seatDeepMm: inches(0.25),
  },
  equipment: { bands: 2, presses: 1, plates: 2, lathes: 1 },
  glue: { openMinutes: 5, clampMinutes: 30, cureHours: 24, leastCelsius: 10, shopCelsius: 18 },
  minutes: {
    setting: 10,
    rip: 6,
    cut: 0.4,
    step: 15,
    joint: 0.2,
    flatten: 6,
    stack: 6,
    mount: 20,
    turn: 8,
    hollow: 10,
    sand: 8,
    coat: 15,
  },
  finish: { coats: 3, coatHours: 8, usual: 'lacquer' },
  errors: USUAL_ERRORS,
  school: USUAL_SCHOOL,
  climate: USUAL_CLIMATE,
  setups: [],
  hours: [
    ...[0, 2, 4].map((day) => ({ day, fromMinute: 19 * 60, toMinute: 21 * 60 })),
    { day: 5, fromMinute: 9 * 60, toMinute: 12 * 60 },
    { day: 5, fromMinute: 13 * 60, toMinute: 17 * 60 },
  ],
};
