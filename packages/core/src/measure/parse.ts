import { INCH, type UnitSystem } from './format.js';
import { type Mm, mm } from './quantity.js';
import { done, type Result, refuse } from './reason.js';
import { say } from './said.js';
import { shortened } from './shortened.js';

const UNITS: Record<string, number> = {
  mm: 1,
  cm: 10,
  in: INCH,
  inch: INCH,
  inches: INCH,
  '"': INCH,
  "'": 12 * INCH,
};

/** ½ and its like as ` 1/2`, typographic marks as plain ones. */
const plain = (text: string): string =>
  text
    .replace(/[\u00bc-\u00be\u2150-\u215e]/g, (vulgar) => ` ${vulgar.normalize('NFKD')}`)
    .replace(/\u2044/g, '/')
    .replace(/[\u2033\u201d]/g, '"')
    .replace(/[\u2032\u2019]/g, "'")
    .replace(/\u2212/g, '-')
    .replace(/(\d),(\d)/g, '$1.$2')
    .trim()
    .toLowerCase();

const NUMBER = /^(?:(\d+)(?:\s+|\s*-\s*))?(\d+)\s*\/\s*(\d+)$|^(\d+\.?\d*|\.\d+)$/;

function numberOf(text: string): number | null {
  const match = NUMBER.exec(text.trim());
  if (!match) return null;
  const [, whole, over, under, decimal] = match;
  if (decimal !== undefined) return Number(decimal);
  return Number(under) === 0 ? null : Number(whole ?? 0) + Number(over) / Number(under);
}

/** A plain number as a person writes it: `0.5`, `0,5`, `1/2`, `½`, `1 1/2`, `-2`; null where it is none. */
export function readNumber(text: string): number | null {
  if (text.trim().length > MOST_LETTERS) return null;
  const given = plain(text);
  const value = numberOf(given.replace(/^-/, ''));
  return value === null || !Number.isFinite(value) ? null : given.startsWith('-') ? -value : value;
}

const TERM = /^(.*?)\s*(mm|cm|inches|inch|in|"|')?$/s;

/** No length is written with more letters; longer texts are not looked at. */
const MOST_LETTERS = 60;

/**
 * Reads a length: `1 3/8`, `1-3/8"`, `1.375`, `35mm`, `3/4 + 1/32`, `2 - 1/16`. A term without a unit takes the unit
 * of the term after it, and the last one the unit of `system`. A leading minus is kept, for the field to judge.
 */
export function parseLength(text: string, system: UnitSystem, path = ''): Result<Mm> {
  if (text.trim().length > MOST_LETTERS) return notALength(text, path);
  const given = plain(text);
  const sign = given.startsWith('-') ? -1 : 1;
  const parts = (sign < 0 ? given.slice(1) : given)
    .split(/\s*(\+)\s*|\s+(-)\s+/)
    .filter((p) => p !== undefined);
  let factor = system === 'mm' ? 1 : INCH;
  let total = 0;
  for (let i = parts.length - 1; i >= 0; i -= 2) {
    const [, figure, unit] = TERM.exec(parts[i]!.trim())!;
    if (unit) factor = UNITS[unit]!;
    const value = numberOf(figure!);
    if (value === null || !Number.isFinite(value)) return notALength(text, path);
    total += (i > 0 && parts[i - 1] === '-' ? -1 : 1) * value * factor;
  }
  return done(mm(sign * total));
}

const notALength = (text: string, path: string): Result<never> =>
  refuse(
    'not-a-length',
    path,
    say`“${shortened(text)}” is not a length; write it like 1 3/8, 1.375, 3/4 + 1/32 or 35mm.`,
  );
