import { z } from 'zod';
import { number } from '../measure/field.js';

/** The wood as it is made up, and the room that the piece will live in over a year. */
export const climateSchema = z
  .strictObject({
    /** Moisture of the boards as they are used, % of dry weight. */
    boardsPercent: number('Moisture of the boards', 0, 60, ' %'),
    /** Relative humidity of the room where the air is driest and dampest in the year. */
    dryHumidity: number('Humidity of the driest month', 0, 95, ' %'),
    dampHumidity: number('Humidity of the dampest month', 0, 95, ' %'),
    celsius: number('Temperature of the room', -10, 45, ' °C'),
  })
  .refine(({ dryHumidity, dampHumidity }) => dampHumidity >= dryHumidity, {
    path: ['dampHumidity'],
    error: 'The dampest month is drier than the driest; the damp figure has to be the larger.',
  });
export type Climate = z.infer<typeof climateSchema>;

/** A heated house: common practice. */
export const USUAL_CLIMATE: Climate = { boardsPercent: 8, dryHumidity: 30, dampHumidity: 65, celsius: 21 };
