import { z } from 'zod';
import type { Mm, Rad } from './quantity.js';

/** A stored length in mm, refused outside `[least, most]`. `label` is the field's name in sentences. */
export const length = (label: string, least: number, most: number) =>
  z.number().min(least).max(most).meta({ label, unit: 'mm' }) as unknown as z.ZodType<Mm, number>;

/** A stored angle in radians, refused outside `[least, most]`. */
export const angle = (label: string, least: number, most: number) =>
  z.number().min(least).max(most).meta({ label, unit: 'rad' }) as unknown as z.ZodType<Rad, number>;

export const share = (label: string, least: number, most: number) =>
  z.number().min(least).max(most).meta({ label });

export const whole = (label: string, least: number, most: number) =>
  z.int().min(least).max(most).meta({ label });
