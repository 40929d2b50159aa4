import { type Mm, mm } from '../../measure/quantity.js';
import { type Said, say, sayMm } from '../../measure/said.js';
import type { Shop } from '../../settings/shop.js';
import { hangs, type Section, type Stage } from './assembly.js';
import type { SeatChoice } from './holding.js';
import type { Stacking } from './schools.js';

/** What work is held with. */
export const HOLDERS = {
  tenon: 'Tenon gripped in the jaws',
  plate: 'Faceplate, screws in a waste block',
  recess: 'Jaws spread in a recess',
  'rim-jaws': 'Rim in the rim jaws or against stops',
  plug: 'Padded plug in the mouth, driven by friction',
  between: 'Padded drive and tailstock',
  rod: 'A rod through all rings, between centres',
} as const;
export type Holder = keyof typeof HOLDERS;

/** Something that may be set up beside the work, and why it is or is not. */
export interface Tailstock {
  readonly up: boolean;
  readonly because: Said;
}

/** How the work is held at a stage: by which face, with what, how wide it is gripped against what the jaws hold, and how it is let go. */
export interface Hold {
  readonly by: Holder;
  readonly face: 'foot' | 'rim';
  readonly acrossMm: Mm;
  /** Least and most that the jaws hold; null where none grip. */
  readonly jaws: { readonly leastMm: Mm; readonly mostMm: Mm } | null;
  readonly tailstock: Tailstock;
  readonly letGo: Said;
}

/** A stub under a foot is sawn off no thicker than this (mm; 1 in: common practice). */
export const MOST_STUB = 25.4;
/** A mouth of at least this share of the widest lets the work be held by its rim. */
const OPEN_SHARE = 0.6;

const UP: Tailstock = {
  up: true,
  because: 'It stays up as long as anything else can be done.',
};

/** Jaws in the chuck. */
const chuck = ({ jawLeastMm, jawMostMm }: Shop): Hold['jaws'] => ({
  leastMm: jawLeastMm,
  mostMm: jawMostMm,
});

/** How a section is held at one of its stages. */
export function heldAt(
  section: Section,
  stage: Stage,
  { seat, acrossMm }: SeatChoice,
  stacking: Stacking,
  shop: Shop,
  closed = false,
): Hold {
  if (stacking === 'rod') return ON_A_ROD;
  const hollowed = stage.hollow.length > 0;
  return {
    by: seat,
    face: hangs(section) ? 'rim' : 'foot',
    acrossMm,
    jaws: seat === 'plate' ? null : chuck(shop),
    tailstock: {
      up: !hollowed,
      because: hollowed
        ? 'Up while rings are glued on and trued; it goes when the inside is hollowed.'
        : UP.because,
    },
    letGo: letGoOf(section, seat, closed),
  };
}

/** Rings that are turned dry, threaded on a rod. */
const ON_A_ROD: Hold = {
  by: 'rod',
  face: 'foot',
  acrossMm: mm(0),
  jaws: null,
  tailstock: { up: true, because: 'Up all the time: it holds the end of the rod.' },
  letGo: 'The nut is taken off and the rings come apart, numbered, a line up their side.',
};

/** While the outside is turned the piece sits where it was built. */
export const heldOutside = (
  section: Section,
  { seat, acrossMm }: SeatChoice,
  shop: Shop,
  closed = false,
): Hold => ({
  by: seat,
  face: 'foot',
  acrossMm,
  jaws: seat === 'plate' ? null : chuck(shop),
  tailstock: {
    up: true,
    because: closed
      ? 'Up, with a padded cup against the upper end, as long as anything else can be done.'
      : 'Up, with a padded cone in the mouth, as long as anything else can be done.',
  },
  letGo: letGoOf(section, seat),
});

function letGoOf({ id }: Section, seat: SeatChoice['seat'], closed = false): Said {
  if (id === 'upper' && closed)
    return 'Joined to the lower half its block is parted off, and the upper end turned to shape.';
  if (id === 'upper') return 'Joined to the lower half its block is parted off, which opens the mouth.';
  if (id === 'lid') return 'Its block is parted off over the knob, last of all.';
  return seat === 'recess'
    ? 'The jaws are slackened; the recess is turned away with the foot.'
    : say`The block is parted to a stub of at most ${sayMm(MOST_STUB)}, and that sawn, lathe off.`;
}

/** How the work is turned round to finish its foot. */
export function heldReversed(mouthMm: number, widestMm: number, hollow: boolean, shop: Shop): Hold {
  const { rimJawsMostMm } = shop.workshop.holding;
  const rest = {
    face: 'rim',
    tailstock: UP,
    letGo: 'The tailstock is taken away last; the stub is sawn off, lathe off.',
  } as const;
  if (hollow && widestMm <= rimJawsMostMm && mouthMm > OPEN_SHARE * widestMm) {
    const jaws = { leastMm: mm(0), mostMm: rimJawsMostMm };
    return { ...rest, by: 'rim-jaws', acrossMm: mm(mouthMm), jaws };
  }
  const acrossMm = mm(hollow ? mouthMm : 0);
  return { ...rest, by: hollow ? 'plug' : 'between', acrossMm, jaws: null };
}

/** What is done to hold it so. */
export function turnedRoundSaid({ by, acrossMm }: Hold): Said {
  if (by === 'rim-jaws')
    return say`Turn it round, its rim in the rim jaws or against stops; the tailstock stays up as long as anything else can be done.`;
  if (by === 'plug')
    return say`Turn it round over a padded plug in its mouth of ${sayMm(acrossMm, 'diameter')}, pressed on by the tailstock: friction drives it.`;
  return 'Turn it round between a padded drive and the tailstock: friction drives it.';
}
