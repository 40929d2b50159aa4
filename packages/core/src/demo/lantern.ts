import { groupsOf, leans, type RingMaking } from '../making/registry.js';
import { INCH } from '../measure/format.js';
import { mm } from '../measure/quantity.js';
import { type Project, type Ring, SCHEMA_VERSION } from '../project/schema.js';
import { drawnOnce } from './build.js';

const inches = (value: number) => mm(value * INCH);

const SEGMENTS = 24;
const flat: RingMaking = { way: 'segmented', count: SEGMENTS };
const spaced: RingMaking = {
  way: 'segmented',
  count: SEGMENTS,
  between: { put: 'spacers', spacers: { at: 'even', number: 12, thicknessMm: inches(0.125) } },
};
const tilted = (hand: 'left' | 'right'): RingMaking => ({
  way: 'segmented',
  count: SEGMENTS,
  lean: { tiltDeg: 25, hand, cut: 'two-fences' },
});
const open: RingMaking = {
  way: 'segmented',
  count: SEGMENTS,
  between: { put: 'gaps', gap: { sides: 'tapered', share: 0.25 } },
};
const layered: RingMaking = {
  way: 'segmented',
  count: SEGMENTS,
  sawnFrom: { is: 'layers', laid: 'outside-in', layersMm: [inches(0.40625)] },
};

/** One size for the rings of the wave, so that the left and right leaning pieces of a strip are both used. */
const WAVE = { outerRadiusMm: inches(3.46875), innerRadiusMm: inches(2.8125) };

/** A ring: height in inches, how it is made, turn in segments, a wood for each group and every other segment's. */
type Course = readonly [
  height: number,
  making: RingMaking,
  turn: number,
  woods: readonly string[],
  other?: string,
];

const COURSES: readonly Course[] = [
  [0.75, { way: 'disc' }, 0, ['black-walnut']],
  [0.75, flat, 0, ['black-walnut']],
  [0.75, spaced, 0.5, ['black-cherry', 'sugar-maple']],
  [0.5, flat, 0, ['black-walnut']],
  // Joints lean right and left in turn: a wave from both hands that come off the saw.
  ...(['right', 'left', 'right', 'left'] as const).map(
    (hand): Course => [0.5, tilted(hand), 0, ['black-cherry'], 'sugar-maple'],
  ),
  [0.5, layered, 0.5, ['black-walnut', 'sugar-maple']],
  ...[0, 0.5, 0, 0.5].map((turn): Course => [0.5, open, turn, ['black-cherry']]),
  [0.75, flat, 0, ['black-walnut']],
];

/** Tall lantern: spacers, a wave of leaning joints and four open rows that let the light through. */
export const shepherdsLantern = drawnOnce(() => {
  const entry = (key: string, tone: Project['palette'][number]['tone']) => ({ key, tone, wood: key });
  return {
    schema: SCHEMA_VERSION,
    name: 'Shepherd’s Lantern',
    form: {
      points: [
        [2.375, 0],
        [2.5, 0.375],
        [3.1875, 2.75],
        [3.3125, 4.75],
        [3.0625, 6.5],
        [2.6875, 7.75],
      ].map(([radius, height]) => ({
        radiusMm: inches(radius!),
        heightMm: inches(height!),
        kind: 'smooth' as const,
      })),
      inside: {
        by: 'wall',
        walls: [{ heightMm: mm(0), wallMm: inches(0.3125) }],
        floorMm: inches(0.4375),
      },
      recess: null,
      lid: null,
    },
    rings: COURSES.map(([height, making, turn, woods, other], i): Ring => {
      const all = groupsOf(making).flatMap(({ count }, group) =>
        Array.from({ length: count }, (_, place) => (other && place % 2 === 1 ? other : woods[group]!)),
      );
      const ring = { id: `r${i + 1}`, heightMm: inches(height), making, turn, woods: all };
      return leans(making) ? { ...ring, fixed: WAVE } : ring;
    }),
    palette: [entry('black-cherry', 'middle'), entry('sugar-maple', 'light'), entry('black-walnut', 'dark')],
    allowances: { outsideMm: inches(0.15625), insideMm: inches(0.15625) },
    motifs: [],
    underlay: null,
  };
});
