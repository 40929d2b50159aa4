import { z } from 'zod';
import { length, number, whole } from '../measure/field.js';
import { UNIT_SYSTEMS } from '../measure/format.js';
import { mm } from '../measure/quantity.js';
import { DEFAULT_WORKSHOP, workshopSchema } from './workshop.js';

export const CHARGES = ['nominal', 'volume'] as const;

/** The user's shop: what the saw takes, what is kept in hand, and how lengths are shown. */
export const shopSchema = z.strictObject({
  units: z.enum(UNIT_SYSTEMS, { error: () => `Units are one of ${UNIT_SYSTEMS.join(', ')}.` }),
  /** Width of the mitre cut, square to the blade. */
  kerfMm: length('Saw kerf', 0.1, 10),
  /** Width of the cut that rips strips off a board. */
  ripKerfMm: length('Rip kerf', 0.1, 10),
  /** Taken off each face when the glued ring is flattened. */
  faceSandingMm: length('Sanding per face', 0, 10),
  /** Cut off both ends of a board: snipe and checks. */
  endTrimMm: length('End trim', 0, 500),
  /** Last stretch of a strip, not safe to hold and never cut. */
  holdBackMm: length('Hold-back length', 0, 1000),
  /** Test pieces for every setting of the saw. */
  testPieces: whole('Test pieces', 0, 20),
  /** Spare pieces on top, percent of the count, rounded up. */
  sparePercent: number('Spares', 0, 100, ' %'),
  /** Rule of thumb where boards are bought by board feet alone and not laid out: so much on top of the strips, percent. */
  wastePercent: number('Waste allowance', 0, 200, ' %'),
  /** Shortest long edge that can be held at the saw. */
  shortestEdgeMm: length('Shortest segment', 0, 200),
  /** Least width of a glue joint between two rings before it is called out. */
  leastOverlapMm: length('Least overlap', 0, 100),
  /** Finished walls thinner than this are called out. */
  leastWallMm: length('Least wall', 0, 100),
  /** Greatest radius that the lathe turns at all, headstock swivelled or outboard if it can. */
  swingRadiusMm: length('Lathe swing (radius)', 20, 1500),
  /** From the axis to the bed, or to the tool rest's base. */
  bedDistanceMm: length('Axis to the bed', 20, 1500),
  /** Diameters that the jaws hold. */
  jawLeastMm: length('Smallest diameter in the jaws', 1, 1000),
  jawMostMm: length('Largest diameter in the jaws', 1, 1000),
  /** How deep the hollowing tools reach below the rim. */
  reachMm: length('Reach of the tools', 10, 2000),
  /** Taken off the one edge of a board that is jointed straight before it is ripped. */
  edgeJointMm: length('Jointed edge', 0, 50),
  /** Strips are ripped and wood is planed to the next full step of this; 0: exactly to what they have to be. */
  ripStepMm: length('Step of widths and thicknesses', 0, 25.4),
  /** Parts of boards are crosscut, and strips cut off, at the next full step of this; 0: exactly. */
  lengthStepMm: length('Step of rough lengths', 0, 50),
  /** Strips whose widths differ by no more are ripped to the widest of them; 0: each as its ring has it. */
  shareWidthMm: length('Widths ripped together', 0, 25.4),
  /** Stops that differ by no more can be brought together: a joint does not show it. */
  stopTogetherMm: length('Stops brought together', 0, 5),
  /** Whether strips are resawn into thinner ones where the board is thick enough; what the blade and cleaning each leaf take. */
  resaws: z.boolean({ error: () => 'Resawing is on or off.' }),
  resawKerfMm: length('Resaw kerf', 0.1, 10),
  resawCleanMm: length('Clean-up of a resawn leaf', 0, 10),
  /** Widest rip that stands under the guides of the saw that resaws. */
  resawHeightMm: length('Resaw height', 10, 1000),
  /** What is left of a board is kept when it is no smaller than this, along and across. */
  leastOffcutMm: z.strictObject({
    lengthMm: length('Shortest offcut kept', 10, 3000),
    widthMm: length('Narrowest offcut kept', 5, 1000),
  }),
  /** Sizes of boards that the yard sells, in every thickness. */
  yard: z
    .array(
      z.strictObject({
        widthMm: length('Width of boards sold', 20, 1000),
        lengthMm: length('Length of boards sold', 200, 10_000),
      }),
    )
    .max(12, { error: () => 'There are too many sizes of boards; 12 are allowed.' }),
  /** Whether the yard books boards by their nominal thickness or by their volume as they are. */
  charges: z.enum(CHARGES, { error: () => `The yard charges by one of ${CHARGES.join(', ')}.` }),
  /** What a board foot costs, by species; woods without a price count by their board feet. */
  prices: z.record(z.string().min(1).max(60), number('Price of a board foot', 0.01, 100_000)),
  currency: z
    .string()
    .trim()
    .max(4, { error: () => 'The sign of the currency is at most 4 letters long.' }),
  /** Thicknesses that rings are made in, as planed, and how many rings the boards on hand give of each. */
  thicknesses: z
    .array(
      z.strictObject({
        heightMm: length('Thickness', 0.5, 300),
        rings: whole('Rings of that thickness', 1, 400),
      }),
    )
    .max(8),
  workshop: workshopSchema,
});

export type Shop = z.infer<typeof shopSchema>;

/** A small shop, common practice throughout: 1/8 in kerfs, 36 in strips, 100 mm held back. */
export const DEFAULT_SHOP: Shop = {
  units: 'inch-fraction',
  kerfMm: mm(3.175),
  ripKerfMm: mm(3.175),
  faceSandingMm: mm(0.75),
  endTrimMm: mm(12.7),
  holdBackMm: mm(100),
  testPieces: 1,
  sparePercent: 5,
  wastePercent: 15,
  shortestEdgeMm: mm(9.525),
  leastOverlapMm: mm(6),
  leastWallMm: mm(3),
  swingRadiusMm: mm(200),
  bedDistanceMm: mm(190.5),
  jawLeastMm: mm(25.4),
  jawMostMm: mm(127),
  reachMm: mm(304.8),
  edgeJointMm: mm(3),
  ripStepMm: mm(25.4 / 32),
  lengthStepMm: mm(25.4 / 8),
  shareWidthMm: mm(3),
  stopTogetherMm: mm(25.4 / 64),
  resaws: true,
  resawKerfMm: mm(1.5),
  resawCleanMm: mm(1),
  resawHeightMm: mm(152.4),
  leastOffcutMm: { lengthMm: mm(200), widthMm: mm(20) },
  yard: [
    { widthMm: mm(127), lengthMm: mm(1828.8) },
    { widthMm: mm(152.4), lengthMm: mm(2438.4) },
    { widthMm: mm(203.2), lengthMm: mm(2438.4) },
  ],
  charges: 'nominal',
  prices: {},
  currency: '£',
  thicknesses: [
    { heightMm: mm(19.05), rings: 12 },
    { heightMm: mm(12.7), rings: 6 },
  ],
  workshop: DEFAULT_WORKSHOP,
};

/** What widths and thicknesses, rough lengths and stops are usually measured to, common practice: 1/32, 1/8 and 1/64 in, or 0.5, 5 and 0.4 mm. */
const USUAL_STEPS = {
  inches: { ripStepMm: mm(25.4 / 32), lengthStepMm: mm(25.4 / 8), stopTogetherMm: mm(25.4 / 64) },
  mm: { ripStepMm: mm(0.5), lengthStepMm: mm(5), stopTogetherMm: mm(0.4) },
} as const;

const stepsOf = (units: Shop['units']) => USUAL_STEPS[units === 'mm' ? 'mm' : 'inches'];

/** A shop that shows lengths another way; steps that were the usual ones become those of the other units. */
export function withUnits(shop: Shop, units: Shop['units']): Shop {
  const [were, are] = [stepsOf(shop.units), stepsOf(units)];
  const changed = { ...shop, units };
  for (const key of Object.keys(were) as (keyof typeof were)[])
    if (Math.abs(shop[key] - were[key]) < 1e-6) changed[key] = are[key];
  return changed;
}
