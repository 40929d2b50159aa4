import { formatHex, type Lab65 } from 'culori';
import { FINISHES, type FinishId } from '../settings/finishes.js';
import { agedColour, halfYearsOf } from './ageing.js';
import { labOf } from './colour.js';
import type { Species } from './species.js';

/** Years after which nothing changes any more. */
const FOR_EVER = 200;

/** A wood as it looks under a finish, new and aged; colours of woods are those under a clear film. */
export function underFinish(species: Species, finish: FinishId): Species {
  const colour = tinted(species.colour, finish);
  if (colour === species.colour) return species;
  const far = agedColour(species, FOR_EVER);
  const aged =
    far === species.colour ? null : { colour: tinted(far, finish), halfYears: halfYearsOf(species) };
  return { ...species, colour, ...(aged && { aged }) };
}

/** A colour under a finish, `#rrggbb`: lightness and chroma so many times as much, yellow on top. */
export function tinted(hex: string, finish: FinishId): string {
  const { lightness, chroma, yellow } = FINISHES[finish].colour;
  if (lightness === 1 && chroma === 1 && yellow === 0) return hex;
  const { l, a, b } = labOf(hex);
  const under: Lab65 = {
    mode: 'lab65',
    l: Math.min(100, l * lightness),
    a: a * chroma,
    b: b * chroma + yellow,
  };
  return formatHex(under);
}
