import {
  formatAngle,
  formatArea,
  formatLength,
  gapUnits,
  INCH,
  trimZeros,
  type UnitSystem,
} from './format.js';
import { mm, rad } from './quantity.js';

/** What a quantity is measured in: mm, radians, square millimetres, or a plain count. */
export type Unit = 'mm' | 'rad' | 'mm2' | 'count';

/** What a quantity is set on a machine or measured out for. */
export const PURPOSES = [
  'cut-angle',
  'blade-tilt',
  'stop',
  'width',
  'thickness',
  'length',
  'diameter',
  'depth',
  'place',
  'turn',
  'make',
] as const;
export type Purpose = (typeof PURPOSES)[number];

/** A quantity within a sentence; `sets` where it is what a machine is set to, or how many are made. */
export interface Quantity {
  readonly unit: Unit;
  readonly value: number;
  readonly sets?: Purpose;
  /** A length as small as a gap: never in fractions. */
  readonly fine?: true;
}

/**
 * A sentence whose lengths, angles and counts are data: text and quantities in the order in which they are read. One without
 * quantities is plain text. `sentenceIn` is the only place that turns one into text.
 */
export type Said = string | readonly (string | Quantity)[];

/** A length in a sentence as a feeler gauge has it. */
export const sayGap = (value: number): Quantity => ({ unit: 'mm', value, fine: true });

/** A length in a sentence. */
export const sayMm = (value: number, sets?: Purpose): Quantity => quantity('mm', value, sets);

/** An angle in a sentence, given in radians. */
export const sayRad = (value: number, sets?: Purpose): Quantity => quantity('rad', value, sets);

/** An area in a sentence, given in mm². */
export const sayMm2 = (value: number): Quantity => quantity('mm2', value);

/** How many are made: a number alone in a sentence is a count that nothing is set to. */
export const sayMade = (value: number): Quantity => quantity('count', value, 'make');

const quantity = (unit: Unit, value: number, sets?: Purpose): Quantity => ({
  unit,
  value,
  ...(sets && { sets }),
});

/** Pieces of a sentence as one: texts side by side grow together, numbers are counts. */
export function sayAll(parts: readonly (Said | Quantity | number)[]): Said {
  const all: (string | Quantity)[] = [];
  for (const part of parts.flatMap((each) => each as string | Quantity | number)) {
    const last = all.at(-1);
    if (typeof part === 'number') all.push(quantity('count', part));
    else if (typeof part !== 'string') all.push(part);
    else if (typeof last === 'string') all[all.length - 1] = last + part;
    else if (part !== '') all.push(part);
  }
  return all.every((part) => typeof part === 'string') ? all.join('') : all;
}

/** A sentence as a template: `say\`The foot is ${sayMm(across)} wide.\`` */
export const say = (texts: TemplateStringsArray, ...values: readonly (Said | Quantity | number)[]): Said =>
  sayAll(texts.flatMap((text, i) => (i < values.length ? [text, values[i]!] : [text])));

/** Several after one another, with the same between them. */
export const sayList = (items: readonly (Said | Quantity | number)[], between = ', '): Said =>
  sayAll(items.flatMap((item, i) => (i > 0 ? [between, item] : [item])));

/** The quantities of a sentence, in their order. */
export const quantitiesOf = (said: Said): readonly Quantity[] =>
  typeof said === 'string' ? [] : said.filter((part) => typeof part !== 'string');

/** A sentence as its reader reads it: lengths and areas in their units, angles in degrees. */
export const sentenceIn = (said: Said, system: UnitSystem): string =>
  typeof said === 'string'
    ? said
    : said.map((part) => (typeof part === 'string' ? part : shownIn(part, system))).join('');

/** A quantity as its reader reads it. */
export function shownIn({ unit, value, fine }: Quantity, system: UnitSystem): string {
  if (unit === 'mm') return lengthShown(value, fine ? gapUnits(system) : system);
  if (unit === 'rad') return formatAngle(rad(value));
  return unit === 'mm2' ? formatArea(value, system) : trimZeros(String(value));
}

/** A sentence in mm: what a programmer reads, and what tells two sentences apart. */
export const plain = (said: Said): string => sentenceIn(said, 'mm');

/** As `formatLength`, without the sign of the rest; lengths under 1/128 in as decimals, or they would read as nothing. */
function lengthShown(length: number, system: UnitSystem): string {
  const vanishes = length !== 0 && Math.abs(length) < INCH / 128;
  const shown = formatLength(mm(length), system === 'inch-fraction' && vanishes ? 'inch-decimal' : system);
  return shown.replace(/[+−]$/, '');
}

/** A sentence as Zod can carry it, which knows texts only; `fromZod` reads it back. */
export const forZod = (said: Said): string => (typeof said === 'string' ? said : JSON.stringify(said));

export const fromZod = (message: string): Said =>
  message.startsWith('["') || message.startsWith('[{') ? (JSON.parse(message) as Said) : message;
