import { degrees, type Mm, type Rad } from './quantity.js';
import { SHOWN_EXACT } from './tolerance.js';

/** How lengths are shown and, for numbers without a unit, read. */
export const UNIT_SYSTEMS = ['inch-fraction', 'inch-decimal', 'mm'] as const;
export type UnitSystem = (typeof UNIT_SYSTEMS)[number];

/** One inch in millimetres, exactly (NIST SP 811, Appendix B). */
export const INCH = 25.4;

/** One pound avoirdupois in kg, exactly (NIST SP 811, Appendix B). */
export const POUND = 0.45359237;

const divisor = (a: number, b: number): number => (b === 0 ? a : divisor(b, a % b));

/** Inches to the nearest 1/64; `+` or `−` says on which side of it the true length lies. */
function inchFraction(length: number): string {
  const sixtyFourths = Math.round((Math.abs(length) / INCH) * 64);
  const rest = Math.abs(length) - (sixtyFourths / 64) * INCH;
  const whole = Math.floor(sixtyFourths / 64);
  const over = sixtyFourths % 64;
  const common = divisor(over, 64);
  const fraction = over === 0 ? '' : `${over / common}/${64 / common}`;
  const figure = [whole > 0 || !fraction ? String(whole) : '', fraction].filter(Boolean).join(' ');
  const drift = Math.abs(rest) < SHOWN_EXACT ? '' : rest > 0 ? '+' : '−';
  return `${length < 0 && sixtyFourths > 0 ? '−' : ''}${figure}"${drift}`;
}

/** A length as a turner reads it: 1/64 in, thousandths of an inch, or hundredths of a millimetre. */
export function formatLength(length: Mm, system: UnitSystem): string {
  if (system === 'inch-fraction') return inchFraction(length);
  if (system === 'inch-decimal') return `${(length / INCH).toFixed(3)}"`;
  return `${trimZeros(length.toFixed(2))} mm`;
}

/** The units that a gap is read in: thousandths of an inch, as a feeler gauge has them, and not fractions. */
export const gapUnits = (units: UnitSystem): UnitSystem => (units === 'mm' ? 'mm' : 'inch-decimal');

/** What stands in a field before editing: reads back as the length itself, to a ten-thousandth of a millimetre. */
export function editableLength(length: Mm, system: UnitSystem): string {
  if (system === 'mm') return trimZeros(length.toFixed(4));
  if (system === 'inch-decimal') return trimZeros((length / INCH).toFixed(6));
  const shown = inchFraction(length);
  const exact = !/[+−]$/.test(shown);
  return exact ? shown.replace('"', '') : trimZeros((length / INCH).toFixed(6));
}

/** An area as a turner reads it: hundredths of a square inch, or square millimetres. */
export const formatArea = (areaMm2: number, system: UnitSystem): string =>
  system === 'mm' ? `${areaMm2.toFixed(0)} mm²` : `${(areaMm2 / INCH ** 2).toFixed(2)} in²`;

export const formatAngle = (angle: Rad): string => `${trimZeros(degrees(angle).toFixed(2))}°`;

/** Drops zeros after the decimal point, and the point when nothing is left behind it. */
export const trimZeros = (figure: string): string =>
  figure.includes('.') ? figure.replace(/\.?0+$/, '').replace(/^-0$/, '0') : figure;

/** A length to a thousandth of a millimetre, or a ten-thousandth of an inch: what a figure that was rounded for its purpose comes from. */
export const formatExact = (length: Mm, system: UnitSystem): string =>
  system === 'mm' ? `${length.toFixed(3)} mm` : `${(length / INCH).toFixed(4)}"`;

/** What a stop is set to: the nearest 1/64 in, thousandth of an inch, or 0.1 mm; nobody sets it closer. */
export function formatStop(length: Mm, system: UnitSystem): string {
  if (system === 'mm') return `${trimZeros(length.toFixed(1))} mm`;
  return formatLength(length, system).replace(/[+−]$/, '');
}
