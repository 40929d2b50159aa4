import { mm, rad } from '../../measure/quantity.js';
import { done } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import { assemble } from '../assemble.js';
import type { Making } from '../contract.js';
import { planeAndRip, setTheSaw } from '../segments.js';
import { numbered, step } from '../step.js';
import type { StripStock } from '../stock.js';
import { asAsked, bandOf, nearest } from '../wedge.js';
import { type Sized, sizedHalf } from './halfRing.js';
import { dividerMm, type Half, type HalvesParams, halvesParams } from './params.js';
import { kindsOf, partsOf } from './parts.js';

/** Two half-rings of different make-up; their straight ends slide along each other, so that any two halves close. */
export const halves: Making<HalvesParams> = {
  way: 'halves',
  starts: {
    halves: {
      name: 'Half and half',
      says: 'two half-rings of different make-up, or a ring to be cut in two',
      bond: 'as-it-was',
      begin: ({ segments }) => {
        const half = { count: Math.max(2, Math.round(segments / 2)), spacerMm: mm(2) };
        return { way: 'halves', halves: [half, { ...half }], divider: null };
      },
    },
  },
  params: halvesParams,
  solid: false,
  groups: ({ halves: [a, b], divider }) =>
    [
      { name: 'Segment', count: a.count + b.count },
      { name: 'Spacer of the first half', count: a.spacerMm > 0 ? a.count - 1 : 0 },
      { name: 'Spacer of the second half', count: b.spacerMm > 0 ? b.count - 1 : 0 },
      { name: 'Divider', count: divider ? 2 : 0 },
    ].filter(({ count }) => count > 0),
  segments: ({ halves: [a, b] }) => a.count + b.count,
  withSegments: (given, count) => {
    const first = Math.max(2, Math.ceil(count / 2));
    const second = Math.max(2, count - first);
    const [a, b] = given.halves;
    return {
      ...given,
      halves: [
        { ...a, count: first },
        { ...b, count: second },
      ],
    };
  },
  pitch: ({ halves: [a] }) => rad(Math.PI / a.count),
  mirror: (given) => ({ ...given, halves: [given.halves[1], given.halves[0]] }),
  make(given, need) {
    const divider = dividerMm(given.divider);
    const sized = given.halves.map((half, i) => sizedHalf(half, i, divider, need));
    const [a, b] = sized as [Sized, Sized];
    if (!a.ok) return a;
    if (!b.ok) return b;
    const pair = [a.value, b.value] as const;
    const parts = partsOf(pair, given);
    const bands = pair.map(({ wedges, faces }) => bandOf(wedges, faces, need.heightMm));
    const ends = parts
      .filter(({ name }) => name !== 'Segment')
      .map(({ outline: [from, to] }) => nearest(from!, to!));
    const corners = parts.flatMap(({ outline }) => outline.map(({ x, y }) => Math.hypot(x, y)));
    const kinds = kindsOf(parts, pair, need);
    const segmentKinds = kinds.filter(({ stock }) => stock.from === 'strip' && stock.cutAngle > 0);
    /** Spacers of either half are a group of their own, which does not come to itself. */
    const repeats = same(given.halves) && given.halves[0].spacerMm === 0 ? 2 : 1;
    return done(
      assemble({
        heightMm: need.heightMm,
        gives: asAsked(
          {
            outerRadiusMm: Math.min(...bands.map(({ gives }) => gives.outerRadiusMm), ...ends),
            innerRadiusMm: Math.max(...bands.map(({ gives }) => gives.innerRadiusMm)),
          },
          need,
        ),
        cornerMm: mm(Math.max(...corners)),
        radial: divider === 0 && given.halves.every(({ spacerMm }) => spacerMm === 0),
        repeats,
        groups: halves.groups(given),
        kinds,
        lay(place) {
          const { outline } = parts[place]!;
          return { place, bottom: outline, top: outline };
        },
        figures: given.divider ? [{ key: 'divider-as-glued', value: divider, unit: 'mm' }] : [],
        steps: (planing) => [
          ...segmentKinds.flatMap(({ stock, places }, i) => {
            const steps = [
              planeAndRip(stock as StripStock, planing),
              setTheSaw(stock as StripStock, places.length),
            ];
            return segmentKinds.length > 1 ? steps.map((each) => numbered(each, i + 1)) : steps;
          }),
          ...(kinds.length > segmentKinds.length ? [SPACERS] : []),
          step(
            'glue-halves',
            'clamps',
            'Glue each half by itself, its ends dry against a straight edge; sand the ends true on a flat board.',
            ['dust'],
          ),
          step(
            'glue',
            'clamps',
            divider > 0
              ? say`Glue the halves with a divider of ${sayMm(divider, 'thickness')} at both ends.`
              : 'Glue the halves to each other.',
          ),
          ...(given.divider?.sawn
            ? [
                step(
                  'saw-apart',
                  'bandsaw',
                  say`Saw the ring in two through the middle of the dividers; ${sayMm(given.divider.leftMm)} is left at every end.`,
                  ['bandsaw', 'dust'],
                ),
              ]
            : []),
        ],
      }),
    );
  },
};

const SPACERS = step('spacers', 'planer', 'Plane spacers and dividers to the sizes of the list.', [
  'thin-stock',
  'dust',
]);

const same = ([a, b]: readonly [Half, Half]): boolean => a.count === b.count && a.spacerMm === b.spacerMm;
