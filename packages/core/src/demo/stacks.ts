import { BLANKS, type BlankMaking, blankPlaces } from '../blank/registry.js';
import type { IllusionName } from '../making/illusion/illusion.js';
import { mm } from '../measure/quantity.js';
import { twistTurns } from '../project/commands/twistCommands.js';

import { type Course, disc, drawnOnce, entry, flat, form, piece, sawn } from './build.js';

/** A low dish whose floor is a star of twelve points, its rim a running ramp. */
export const marchStarDish = drawnOnce(() => {
  const palette = [
    entry('sugar-maple', 'light'),
    entry('black-walnut', 'dark'),
    entry('black-cherry', 'middle'),
  ];
  return piece(
    'March Star Dish',
    form(
      [
        [62, 0],
        [112, 10],
        [136, 26],
        [146, 52],
      ],
      8,
      9,
    ),
    palette,
    [
      [14, { way: 'disc', sawnFrom: { is: 'star', points: 12, lit: 'clockwise', borderMm: mm(26) } }, 0],
      [14, flat(24), 0.5, 'black-cherry'],
      [16, sawn('laminated', 24, { figure: 'ramp', layersMm: [13, 7, 13].map(mm), angleDeg: 24 }), 0],
      [8, flat(24), 0.5, 'black-walnut'],
    ],
  );
});

/** A goblet that swirls from foot to lip: slices of strips, each turned on. */
export const whirlpoolGoblet = drawnOnce(() => {
  const palette = [entry('sugar-maple', 'light'), entry('padauk', 'middle'), entry('wenge', 'dark')];
  const slices = 24;
  const each = 6;
  const turns = twistTurns(slices, { twist: 'there-and-back', stepDeg: 7 });
  const strips = [14, 7, 14, 7, 14, 7, 14, 7, 11, 7, 14, 7, 14, 7, 14, 7, 14].map(mm);
  return piece(
    'Whirlpool Goblet',
    form(
      [
        [44, 0],
        [40, 8, 'corner'],
        [15, 34],
        [14, 60],
        [42, 92],
        [54, 126],
        [50, 168],
      ],
      6,
      76,
    ),
    palette,
    turns.map((turn, i) => [
      7,
      {
        way: 'disc',
        sawnFrom: { is: 'strips', stripsMm: strips },
        after: {
          done: 'sliced',
          from: `section-${Math.floor(i / each) + 1}`,
          kerfMm: mm(1.6),
          cleanUpMm: mm(0),
          boardMm: mm(54),
        },
      },
      turn,
    ]),
  );
});

/** Light segments and dark leaning spacers between caps, woven over five rings. */
export const gatheringBasket = drawnOnce(() => {
  const palette = [entry('white-ash', 'light'), entry('black-walnut', 'dark')];
  const woven = (i: number): Course => [
    11,
    {
      way: 'segmented',
      count: 24,
      lean: { tiltDeg: 22, hand: 'right', cut: 'same-edge' },
      between: { put: 'spacers', spacers: { at: 'every', thicknessMm: mm(3) } },
      woven: true,
    },
    i % 2 === 0 ? 0 : 0.5,
  ];
  return piece(
    'Gathering Basket',
    form(
      [
        [62, 0],
        [92, 30],
        [100, 60],
        [96, 92],
      ],
      8,
      10,
    ),
    palette,
    [
      [16, disc, 0, 'black-walnut'],
      [7, flat(24), 0.5, 'black-walnut'],
      ...Array.from({ length: 5 }, (_, i) => woven(i)),
      [7, flat(24), 0.5, 'black-walnut'],
      [7, flat(24), 0, 'white-ash'],
    ],
  );
});

/** Tumbling blocks, woven bands, studs and stairs, one above the other. */
export const conjurersVase = drawnOnce(() => {
  const palette = [entry('american-holly', 'light'), entry('black-cherry', 'middle'), entry('wenge', 'dark')];
  const figure = (name: IllusionName, rows: number) => sawn('illusion', 18, { figure: name, rows });
  return piece(
    'Conjurer’s Vase',
    form(
      [
        [50, 0],
        [72, 60],
        [80, 120],
        [72, 176],
        [56, 214],
      ],
      8,
      10,
    ),
    palette,
    [
      [14, disc, 0, 'wenge'],
      [20, figure('lozenge', 1), 0],
      [5, flat(18), 0.5, 'american-holly'],
      [70, figure('blocks', 3), 0],
      [5, flat(18), 0.5, 'american-holly'],
      [26, figure('interlace', 1), 0],
      [5, flat(18), 0.5, 'american-holly'],
      [26, figure('stairs', 4), 0],
      [20, flat(18), 0.5, 'black-cherry'],
      [23, flat(18), 0, 'wenge'],
    ],
  );
});

/** Half a facetted globe on a low turned stand, and a pair of links that pass through each other. */
export const beaconGlobe = drawnOnce(() => {
  const palette = [
    entry('black-cherry', 'middle'),
    entry('sugar-maple', 'light'),
    entry('black-walnut', 'dark'),
  ];
  const stand = piece(
    'Beacon Globe',
    form(
      [
        [48, 0],
        [40, 10, 'corner'],
        [26, 26],
        [44, 44],
      ],
      12,
      34,
    ),
    palette,
    [
      [14, disc, 0, 'black-walnut'],
      [16, disc, 0, 'black-cherry'],
      [14, disc, 0, 'black-walnut'],
    ],
  );
  const globe: BlankMaking = { ...BLANKS.globe.begin(), part: 'half' };
  const links: BlankMaking = { ...BLANKS.bent.begin(), outerRadiusMm: mm(10), linkAsideMm: mm(60) };
  const isosceles = 30;
  return {
    ...stand,
    blanks: [
      {
        id: 'globe',
        making: globe,
        woods: Array.from({ length: blankPlaces(globe) }, (_, i) =>
          i < isosceles ? 'black-cherry' : 'sugar-maple',
        ),
      },
      {
        id: 'links',
        making: links,
        woods: Array.from({ length: blankPlaces(links) }, (_, i) =>
          Math.floor(i / 6) % 2 === 0 ? 'sugar-maple' : 'black-walnut',
        ),
      },
    ],
  };
});
