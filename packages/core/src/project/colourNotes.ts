import { type Said, say, sayMm } from '../measure/said.js';
import { agedColour } from '../wood/ageing.js';
import { INVISIBLE, labOf } from '../wood/colour.js';
import type { Species } from '../wood/species.js';
import { AGES, type TouchingPair } from './contrast.js';

/** Something that finish or years do to two woods that touch, with what helps. */
export interface ColourNote {
  readonly kind: 'weak' | 'bleeds' | 'turns-round';
  readonly woods: readonly [string, string];
  readonly says: Said;
  readonly helps: Said;
}

/** A wood as light as this takes up what bleeds (L*; a working value). */
const PALE = 68;
/** Lightness nearer than this is no order (L*). */
const ALIKE = 4;
/** A border shorter than this nobody looks at, mm. */
const SHORT = 10;

/** What to look out for where woods touch on the outside; colours of the species are those under the piece's finish. */
export function colourNotes(pairs: readonly TouchingPair[]): ColourNote[] {
  return pairs
    .filter(({ lengthMm }) => lengthMm >= SHORT)
    .flatMap((pair) => [weak(pair), bleeds(pair), turnsRound(pair)].filter((note) => note !== null));
}

function weak({ a, b, lengthMm, differences }: TouchingPair): ColourNote | null {
  const at = differences.findIndex((difference) => difference < INVISIBLE);
  if (at < 0) return null;
  const when = AGES[at] === 0 ? 'new' : `after ${AGES[at]} years`;
  return {
    kind: 'weak',
    woods: [a.id, b.id],
    says: say`${a.name} and ${b.name} touch along ${sayMm(lengthMm)} of border and cannot be told apart across a room, ${when}.`,
    helps: 'Take a lighter or a darker wood for one of them, or put a line of another between.',
  };
}

const lightness = (wood: Species, years: number): number => labOf(agedColour(wood, years)).l;

/** The darkest of some woods, new; undefined where there are none. */
export const darkestOf = (woods: readonly Species[]): Species | undefined =>
  [...woods].sort((a, b) => lightness(a, 0) - lightness(b, 0))[0];

function bleeds({ a, b, lengthMm }: TouchingPair): ColourNote | null {
  const [strong, pale] = a.bleeds ? [a, b] : [b, a];
  if (!strong.bleeds || pale.bleeds || lightness(pale, 0) < PALE) return null;
  return {
    kind: 'bleeds',
    woods: [strong.id, pale.id],
    says: say`${strong.name} bleeds into ${pale.name} beside it, along ${sayMm(lengthMm)} of border.`,
    helps:
      'Dust the first coats on so thin that they do not run, wipe with nothing wet and no spirits, blow the dust off instead; try it on a test piece of both.',
  };
}

function turnsRound({ a, b }: TouchingPair): ColourNote | null {
  const order = AGES.map((years) => lightness(a, years) - lightness(b, years));
  const first = order[0]!;
  const at = order.findIndex((by) => Math.abs(by) > ALIKE && Math.sign(by) !== Math.sign(first));
  if (Math.abs(first) < ALIKE || at < 0) return null;
  const [light, dark] = first > 0 ? [a, b] : [b, a];
  return {
    kind: 'turns-round',
    woods: [light.id, dark.id],
    says: say`${light.name} is the lighter of the two when new, and after ${AGES[at]!} years ${dark.name} is: the pattern turns round.`,
    helps: 'Give the light part to a wood that keeps its colour, or tell who gets the piece.',
  };
}

/** An open joint that is filled, as wide as this on the whole (mm), over a tenth of all joints: working values. */
const FILLED = 0.1;
const SHARE = 0.1;

/** How much dust for filling is put by, mm³: for joints of rings with so many segments over the height and thickness of the wall. */
export const fillerMm3 = (
  rings: readonly { readonly joints: number; readonly heightMm: number; readonly wallMm: number }[],
): number =>
  rings.reduce((sum, { joints, heightMm, wallMm }) => sum + joints * heightMm * wallMm * FILLED * SHARE, 0);
