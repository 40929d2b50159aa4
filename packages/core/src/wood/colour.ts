import {
  type Color,
  converter,
  differenceCiede2000,
  filterDeficiencyDeuter,
  filterDeficiencyProt,
  filterDeficiencyTrit,
  filterGrayscale,
  formatHex,
  interpolate,
  type Lab65,
  parse,
  type Rgb,
} from 'culori';

/** A colour as the eye measures it: lightness 0 to 100, green to red, blue to yellow (CIE L*a*b*, D65). */
export type LabColour = Lab65;

const toLab = converter('lab65');
const ciede2000 = differenceCiede2000();

const lab = (hex: string): LabColour => toLab(parse(hex) ?? { mode: 'rgb', r: 0, g: 0, b: 0 }) as never;

/**
 * How different two colours look, CIEDE2000 (CIE 142-2001; Sharma, Wu and Dalal 2005), by the library culori. Colours are
 * `#rrggbb`, or Lab values under D65.
 */
export const difference = (a: string | LabColour, b: string | LabColour): number =>
  ciede2000(typeof a === 'string' ? lab(a) : a, typeof b === 'string' ? lab(b) : b);

export const labOf = lab;

/** Under this a pair is invisible across a room; from this on it reads well: working values of this project. */
export const INVISIBLE = 10;
export const READS_WELL = 25;

/** The colour at a share of the way from one to another, in Lab; `#rrggbb`. */
export const mixed = (from: string, to: string, share: number): string =>
  share <= 0 ? from : formatHex(interpolate([from, to], 'lab65')(Math.min(1, share)));

/** Ways of seeing: as most do, without colour, and with the common kinds of colour blindness (Machado and others 2009). */
export const SIGHTS = ['usual', 'grey', 'protan', 'deutan', 'tritan'] as const;
export type Sight = (typeof SIGHTS)[number];

const FILTERS: Readonly<Record<Exclude<Sight, 'usual'>, (colour: Rgb) => Color>> = {
  grey: (colour) => filterGrayscale(1)(colour),
  protan: (colour) => filterDeficiencyProt(1)(colour),
  deutan: (colour) => filterDeficiencyDeuter(1)(colour),
  tritan: (colour) => filterDeficiencyTrit(1)(colour),
};

/** A colour as it is seen; `#rrggbb`. */
export const seen = (hex: string, sight: Sight): string =>
  sight === 'usual' ? hex : formatHex(FILTERS[sight](parse(hex) as Rgb));
