import { z } from 'zod';
import { length, number, whole } from '../measure/field.js';
import { UNIT_SYSTEMS } from '../measure/format.js';
import { mm } from '../measure/quantity.js';

/** The user's shop: what the saw takes, what is kept in hand, and how lengths are shown. */
export const shopSchema = z.strictObject({
  units: z.enum(UNIT_SYSTEMS, { error: () => `Units are one of ${UNIT_SYSTEMS.join(', ')}.` }),
  /** Width of the mitre cut, square to the blade. */
  kerfMm: length('Saw kerf', 0.1, 10),
  /** Width of the cut that rips strips off a board. */
  ripKerfMm: length('Rip kerf', 0.1, 10),
  /** Taken off each face when the glued ring is flattened. */
  faceSandingMm: length('Sanding per face', 0, 10),
  /** Length of strip that the saw is fed: what boards usually yield. */
  stripLengthMm: length('Strip length', 100, 6000),
  /** Cut off the near end of a strip: snipe and checks. */
  endTrimMm: length('End trim', 0, 500),
  /** Last stretch of a strip, not safe to hold and never cut. */
  holdBackMm: length('Hold-back length', 0, 1000),
  /** Test pieces for every setting of the saw. */
  testPieces: whole('Test pieces', 0, 20),
  /** Spare pieces on top, percent of the count, rounded up. */
  sparePercent: number('Spares', 0, 100, ' %'),
  /** Bought on top of what is computed, for defects and jointing, percent. */
  wastePercent: number('Waste allowance', 0, 200, ' %'),
  /** Shortest long edge that can be held at the saw. */
  shortestEdgeMm: length('Shortest segment', 0, 200),
  /** Least width of a glue joint between two rings before it is called out. */
  leastOverlapMm: length('Least overlap', 0, 100),
  /** Greatest radius that clears the lathe's bed. */
  swingRadiusMm: length('Lathe swing (radius)', 20, 1500),
});

export type Shop = z.infer<typeof shopSchema>;

/** A small shop, common practice throughout: 1/8 in kerfs, 36 in strips, 100 mm held back. */
export const DEFAULT_SHOP: Shop = {
  units: 'inch-fraction',
  kerfMm: mm(3.175),
  ripKerfMm: mm(3.175),
  faceSandingMm: mm(0.75),
  stripLengthMm: mm(914.4),
  endTrimMm: mm(12.7),
  holdBackMm: mm(100),
  testPieces: 1,
  sparePercent: 5,
  wastePercent: 15,
  shortestEdgeMm: mm(9.525),
  leastOverlapMm: mm(6),
  swingRadiusMm: mm(200),
};
