import { z } from 'zod';
import { number, text } from '../measure/field.js';

export const MOST_SETUPS = 200;

/** A setting of the saw that rings were cut with, as it was found: to be called up when the same angle comes again. */
const setupSchema = z.strictObject({
  id: z.string().min(1).max(40),
  /** What it was to be: from square, and the blade from upright. */
  angleDeg: number('Angle of the set-up', 0, 90, '°'),
  tiltDeg: number('Tilt of the set-up', 0, 75, '°'),
  /** As the user's own scale, wedge or stop reads it. */
  read: text('As it was read', 60, 0),
  sled: text('Sled or jig', 60, 0),
  blade: text('Blade', 60, 0),
  /** What the test ring said: more than 0 where it was cut too steep; 0 where it closed. */
  outByDeg: number('Out by', -3, 3, '°'),
  /** Day, as it was written down. */
  on: text('Day of the set-up', 40, 0),
});
export type RememberedSetup = z.infer<typeof setupSchema>;

export const setupsSchema = z.array(setupSchema).max(MOST_SETUPS, {
  error: () => `There are too many set-ups; ${MOST_SETUPS} are remembered.`,
});

/** Nearer than this two settings are the same on any scale (°). */
const SAME_DEG = 0.005;

/** Set-ups of an angle and a tilt (degrees), the last remembered first. */
export const setupsFor = (
  setups: readonly RememberedSetup[],
  angleDeg: number,
  tiltDeg: number,
): RememberedSetup[] =>
  setups
    .filter(
      (each) => Math.abs(each.angleDeg - angleDeg) < SAME_DEG && Math.abs(each.tiltDeg - tiltDeg) < SAME_DEG,
    )
    .reverse();

/** The same with one more; the oldest goes where there are too many. */
export const withSetup = (setups: readonly RememberedSetup[], setup: RememberedSetup): RememberedSetup[] =>
  [...setups, setup].slice(-MOST_SETUPS);

/** How far off set-ups were, one standard deviation about nothing (°), and how many they are; null where there are none. */
export function outByOf(
  setups: readonly RememberedSetup[],
): { readonly outByDeg: number; readonly count: number } | null {
  if (setups.length === 0) return null;
  const squares = setups.reduce((sum, { outByDeg }) => sum + outByDeg * outByDeg, 0);
  return { outByDeg: Math.sqrt(squares / setups.length), count: setups.length };
}

/** The same for each sled or jig by its name, the truest first. */
export function outBySled(
  setups: readonly RememberedSetup[],
): { readonly sled: string; readonly outByDeg: number; readonly count: number }[] {
  const sleds = [...new Set(setups.map(({ sled }) => sled).filter((sled) => sled !== ''))];
  return sleds
    .map((sled) => ({ sled, ...outByOf(setups.filter((each) => each.sled === sled))! }))
    .sort((a, b) => a.outByDeg - b.outByDeg);
}
