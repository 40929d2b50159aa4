import { mixed } from './colour.js';
import type { Species } from './species.js';

/** Years over which the change is half done for a wood that says nothing about it. */
const USUAL_YEARS = 3;

/**
 * Where the finished face of a wood goes in light, `#rrggbb`, and after how many years half of the way is gone. Common
 * practice, colours by eye from memory: pale woods yellow, cherry and mahogany darken within months, strong reds and
 * purples go brown, walnut pales.
 */
const AGED: Readonly<Record<string, readonly [colour: string, halfYears: number]>> = {
  'sugar-maple': ['#d9b982', 4],
  'red-maple': ['#cfae7c', 4],
  'black-walnut': ['#7f5d3c', 5],
  'black-cherry': ['#83492b', 0.7],
  'yellow-poplar': ['#a3854f', 1.5],
  'white-oak': ['#b48d59', 4],
  'red-oak': ['#b8834f', 4],
  'white-ash': ['#cdb07c', 4],
  'american-holly': ['#e2d5b4', 6],
  'american-beech': ['#c08e60', 3],
  'yellow-birch': ['#c99f66', 3],
  'black-locust': ['#8a6a38', 1.5],
  'osage-orange': ['#8b5a2b', 1],
  basswood: ['#d6bf8e', 4],
  'american-sycamore': ['#c49d72', 4],
  hornbeam: ['#d1bb90', 4],
  yew: ['#a5602f', 2],
  mahogany: ['#763a1f', 1],
  sapele: ['#6f3a25', 1.5],
  purpleheart: ['#5a3338', 1.5],
  wenge: ['#4a382c', 6],
  padauk: ['#6d3524', 1],
  bubinga: ['#74402e', 2],
  yellowheart: ['#c99a45', 3],
  bloodwood: ['#6f2a22', 2],
  zebrawood: ['#ad854f', 3],
  'african-ebony': ['#322b27', 8],
  teak: ['#8d6233', 1.5],
  jatoba: ['#6f3722', 1],
  iroko: ['#83592c', 1],
  canarywood: ['#a8682d', 1.5],
  rosewood: ['#4d3429', 3],
};

/** Years after which half of a wood's change is done. */
export const halfYearsOf = ({ id, aged }: Pick<Species, 'id' | 'aged'>): number =>
  aged?.halfYears ?? AGED[id]?.[1] ?? USUAL_YEARS;

/** A wood's colour after so many years in a lit room: half of the change in every half-time. Woods not listed stay. */
export function agedColour(
  { id, colour, aged }: Pick<Species, 'id' | 'colour' | 'aged'>,
  years: number,
): string {
  const shipped = AGED[id];
  const end = aged?.colour ?? shipped?.[0];
  if (!end || years <= 0) return colour;
  const half = halfYearsOf({ id, ...(aged && { aged }) });
  return mixed(colour, end, 1 - 0.5 ** (years / half));
}
