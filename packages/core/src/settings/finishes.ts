/** Ways of finishing a turned piece; practitioners differ. */
export const FINISH_IDS = ['oil', 'wax-over-oil', 'shellac', 'lacquer', 'water-based', 'none'] as const;
export type FinishId = (typeof FINISH_IDS)[number];

/** What is done for a finish, in its order: common practice throughout. */
export interface Finish {
  readonly name: string;
  readonly says: string;
  /** Grits that the wood is sanded through. */
  readonly grits: readonly number[];
  /** What goes on before the coats, and how long it dries; null for none. */
  readonly sealer: { readonly says: string; readonly hours: number } | null;
  readonly coats: number;
  readonly coatHours: number;
  /** Grit that a dry coat is rubbed down with before the next; null where it is not. */
  readonly rubGrit: number | null;
  /** What is done when the last coat has hardened so many days; null for nothing. */
  readonly polish: { readonly says: string; readonly afterDays: number } | null;
  /** Days until it is hard: before it is used, and before it may touch food; null where it is not meant to. */
  readonly useDays: number;
  readonly foodDays: number | null;
  /**
   * What it does to the colour of a wood against a clear film, CIE L*a*b*: lightness and chroma times as much, and yellow on
   * top. From memory of woods under each.
   */
  readonly colour: { readonly lightness: number; readonly chroma: number; readonly yellow: number };
  /** How much it gleams, from 0 (dull) to 1 (a mirror): by eye. */
  readonly sheen: number;
}

export const FINISHES: Readonly<Record<FinishId, Finish>> = {
  oil: {
    name: 'Oil',
    says: 'wiped on and off; darkens and warms most; easy to mend',
    grits: [120, 180, 240, 320, 400],
    sealer: null,
    coats: 3,
    coatHours: 24,
    rubGrit: 400,
    polish: null,
    useDays: 7,
    foodDays: 30,
    colour: { lightness: 0.93, chroma: 1.12, yellow: 2 },
    sheen: 0.35,
  },
  'wax-over-oil': {
    name: 'Wax over oil',
    says: 'oil as above, then wax buffed to a soft sheen; marks with water',
    grits: [120, 180, 240, 320, 400],
    sealer: null,
    coats: 2,
    coatHours: 24,
    rubGrit: 400,
    polish: { says: 'Wax thinly, and buff when it has hazed.', afterDays: 1 },
    useDays: 7,
    foodDays: 30,
    colour: { lightness: 0.94, chroma: 1.1, yellow: 1.5 },
    sheen: 0.5,
  },
  shellac: {
    name: 'Shellac, friction polished',
    says: 'built up on the turning lathe with a pad: high gloss in an hour, not for wet use',
    grits: [120, 180, 240, 320, 400, 600],
    sealer: { says: 'One thin coat of sanding sealer.', hours: 1 },
    coats: 4,
    coatHours: 0.5,
    rubGrit: null,
    polish: { says: 'A last pad with a drop of oil, lathe running.', afterDays: 0 },
    useDays: 3,
    foodDays: null,
    colour: { lightness: 0.97, chroma: 1.06, yellow: 2 },
    sheen: 0.8,
  },
  lacquer: {
    name: 'Lacquer, sprayed',
    says: 'clear and hard; keeps pale woods pale; many thin coats',
    grits: [120, 180, 240, 320],
    sealer: { says: 'One coat of sanding sealer.', hours: 2 },
    coats: 4,
    coatHours: 2,
    rubGrit: 600,
    polish: { says: 'Cut and buff.', afterDays: 7 },
    useDays: 14,
    foodDays: 30,
    colour: { lightness: 1, chroma: 1, yellow: 0 },
    sheen: 0.75,
  },
  'water-based': {
    name: 'Water-based film',
    says: 'clear and cool; raises the grain, so wet and sand once before',
    grits: [120, 180, 240, 320],
    sealer: { says: 'Wipe with water, let dry, and take the raised grain off.', hours: 4 },
    coats: 3,
    coatHours: 3,
    rubGrit: 400,
    polish: null,
    useDays: 14,
    foodDays: 30,
    colour: { lightness: 1.02, chroma: 0.94, yellow: -0.5 },
    sheen: 0.55,
  },
  none: {
    name: 'None',
    says: 'sanded and left: palest, takes up dirt and moves most with the air',
    grits: [120, 180, 240, 320, 400, 600],
    sealer: null,
    coats: 0,
    coatHours: 0,
    rubGrit: null,
    polish: { says: 'Burnish with clean shavings.', afterDays: 0 },
    useDays: 0,
    foodDays: 0,
    colour: { lightness: 1.07, chroma: 0.82, yellow: -1 },
    sheen: 0.1,
  },
};

/** Middle grain of coated abrasives, mm, by their P number (FEPA 43-1; from memory). */
const GRAIN_MM: Readonly<Record<number, number>> = {
  80: 0.201,
  120: 0.125,
  150: 0.1,
  180: 0.082,
  220: 0.068,
  240: 0.0585,
  320: 0.0462,
  400: 0.035,
  600: 0.0258,
};
/** A grit is done when the scratches of the one before are gone: they are about half a grain deep, and the tool's marks deeper (mm; working values). */
const SCRATCH = 0.5;
const TOOL_MARKS = 0.1;

/** What each grit takes off, mm. */
export const takenByGrit = (grits: readonly number[]): { readonly grit: number; readonly mm: number }[] =>
  grits.map((grit, i) => ({ grit, mm: i === 0 ? TOOL_MARKS : SCRATCH * (GRAIN_MM[grits[i - 1]!] ?? 0) }));

/** What all of them take off together, mm. */
export const sandedOff = (grits: readonly number[]): number =>
  takenByGrit(grits).reduce((sum, { mm }) => sum + mm, 0);
