import { BLANKS, type BlankMaking, blankPlaces } from '../blank/registry.js';
import { glyphFromLoops } from '../exchange/outlineFile.js';
import type { Form } from '../form/shape.js';
import type { Glyph } from '../making/lettered/params.js';
import { begun, type ParamsOf, placesOf, type RingMaking, tonesOf, type Way } from '../making/registry.js';
import { mm } from '../measure/quantity.js';
import { setInPixels } from '../pattern/pixelFace.js';
import { keyOfTone } from '../pattern/tones.js';
import { twistTurns } from '../project/commands/twistCommands.js';
import { type Project, type Ring, SCHEMA_VERSION } from '../project/schema.js';

type Palette = Project['palette'];

const entry = (key: string, tone: Palette[number]['tone']) => ({ key, tone, wood: key });

/** A ring of the demo, mm: its woods are those that its way means, or one wood all through. */
type Course = readonly [heightMm: number, making: RingMaking, turn: number, wood?: string];

const flat = (count: number): RingMaking => ({ way: 'flat', count });
const disc: RingMaking = { way: 'disc' };

/** Parameters that a way begins with, some of them changed. */
const made = <W extends Way>(way: W, segments: number, change: Partial<ParamsOf<W>>): RingMaking => ({
  ...(begun(way, { segments, body: 'section-1' }) as ParamsOf<W>),
  ...change,
});

function ring([heightMm, making, turn, wood]: Course, i: number, palette: Palette): Ring {
  const meant = wood === undefined ? tonesOf(making)?.map((tone) => keyOfTone(palette, tone)) : undefined;
  return {
    id: `r${i + 1}`,
    heightMm: mm(heightMm),
    making,
    turn,
    woods: meant ?? Array.from({ length: placesOf(making) }, () => wood ?? palette[0]!.key),
  };
}

/** Radii over heights of the outside, mm; a wall of one thickness and a floor. */
const form = (
  points: readonly (readonly [radius: number, height: number, corner?: 'corner'])[],
  wall: number,
  floor: number,
): Form => ({
  points: points.map(([radius, height, corner]) => ({
    radiusMm: mm(radius),
    heightMm: mm(height),
    kind: corner ?? 'smooth',
  })),
  inside: { by: 'wall', walls: [{ heightMm: mm(0), wallMm: mm(wall) }], floorMm: mm(floor) },
  recess: null,
  lid: null,
});

const piece = (name: string, shape: Form, palette: Palette, courses: readonly Course[]): Project => ({
  schema: SCHEMA_VERSION,
  name,
  form: shape,
  rings: courses.map((course, i) => ring(course, i, palette)),
  palette,
  allowances: { outsideMm: mm(4), insideMm: mm(4) },
  motifs: [],
  underlay: null,
});

/** Zigzags, a band of chevrons and one of diamonds from laminated boards, between plain rings. */
export function drystoneVase(): Project {
  const palette = [entry('sugar-maple', 'light'), entry('black-walnut', 'dark'), entry('padauk', 'middle')];
  const band = (change: Partial<ParamsOf<'laminated'>>) =>
    made('laminated', 16, { kerfMm: mm(3), ...change });
  return piece(
    'Drystone Wall Vase',
    form(
      [
        [46, 0],
        [66, 50],
        [84, 104],
        [74, 152],
        [52, 190],
      ],
      8,
      10,
    ),
    palette,
    [
      [16, disc, 0, 'black-walnut'],
      [16, flat(16), 0.5, 'sugar-maple'],
      [28, band({ figure: 'diamond', layersMm: [6, 3, 14].map(mm), angleDeg: 32 }), 0],
      [6, flat(16), 0.5, 'black-walnut'],
      [42, band({ layersMm: [16, 4, 9, 4, 16].map(mm), angleDeg: 38 }), 0],
      [6, flat(16), 0.5, 'black-walnut'],
      [28, band({ figure: 'chevron', layersMm: [6, 3, 14].map(mm), angleDeg: 32 }), 0],
      [24, band({ figure: 'chequer', layersMm: [6, 6, 6, 6].map(mm), across: 4 }), 0],
      [24, flat(16), 0.5, 'sugar-maple'],
    ],
  );
}

/** Dots that swell as if seen through a drop of water, on a round bowl. */
export function dewpondBowl(): Project {
  const palette = [entry('sugar-maple', 'light'), entry('wenge', 'dark')];
  const rows = 7;
  const dots = (row: number): Course => [
    15,
    made('inlaid', 30, {
      plugs: [{ shape: 'round', acrossMm: mm(4.6), asideMm: mm(0), upMm: mm(0) }],
      lens: { segment: 0, times: 3, segments: 4.4, rings: 3.6, ring: row - (rows - 1) / 2, swell: 2.7 },
    }),
    0,
  ];
  return piece(
    'Dewpond Bowl',
    form(
      [
        [60, 0],
        [92, 30],
        [104, 70],
        [100, 112],
        [90, 134],
      ],
      8,
      10,
    ),
    palette,
    [
      [15, disc, 0, 'sugar-maple'],
      ...Array.from({ length: rows }, (_, row) => dots(row)),
      [14, flat(30), 0.5, 'wenge'],
    ],
  );
}

/** A letter of the pixel face as an outline for an inlay. */
function pixelGlyph(letter: string): Glyph {
  const { rows } = setInPixels(letter);
  const squares = rows.flatMap((row, down) =>
    row.flatMap((lit, x) => {
      const y = rows.length - 1 - down;
      return lit
        ? [
            [
              [x, y],
              [x + 1, y],
              [x + 1, y + 1],
              [x, y + 1],
            ] as [number, number][],
          ]
        : [];
    }),
  );
  const glyph = glyphFromLoops(letter, squares);
  if (typeof glyph === 'string') throw new Error(glyph);
  return glyph;
}

/** The show's name set into a band, one letter a segment, spacers between them. */
export function secretarysBowl(): Project {
  const palette = [entry('black-cherry', 'light'), entry('american-holly', 'middle'), entry('wenge', 'dark')];
  const text = 'HOLLIN TARN SHOW ';
  const letters = [...new Set(text.replaceAll(' ', ''))];
  const band = made('lettered', text.length, {
    glyphs: letters.map(pixelGlyph),
    order: [...text].map((letter) => letters.indexOf(letter)),
    spacerMm: mm(2.5),
    sizeMm: mm(23),
    depthMm: mm(9),
    cutterMm: mm(1),
  });
  const framed = made('inlaid', 24, {
    plugs: [{ shape: 'lozenge', acrossMm: mm(11), asideMm: mm(0), upMm: mm(0), depthMm: mm(8) }],
    edge: { topMm: mm(2.5), bottomMm: mm(2.5), sidesMm: mm(3) },
  });
  return piece(
    'Secretary’s Bowl',
    form(
      [
        [62, 0],
        [99, 32],
        [102, 56],
        [102, 84],
        [100, 116],
      ],
      8,
      10,
    ),
    palette,
    [
      [18, disc, 0, 'black-cherry'],
      [20, flat(24), 0.5, 'black-cherry'],
      [4, flat(24), 0, 'wenge'],
      [34, band, 0],
      [4, flat(24), 0, 'wenge'],
      [20, framed, 0],
      [16, flat(24), 0.5, 'black-cherry'],
    ],
  );
}

/** A low dish whose floor is a star of twelve points, its rim a running ramp. */
export function marchStarDish(): Project {
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
      [
        14,
        made('medallion', 12, { floor: { figure: 'star', points: 12, lit: 'clockwise' }, borderMm: mm(26) }),
        0,
      ],
      [14, flat(24), 0.5, 'black-cherry'],
      [16, made('laminated', 24, { figure: 'ramp', layersMm: [13, 7, 13].map(mm), angleDeg: 24 }), 0],
      [8, flat(24), 0.5, 'black-walnut'],
    ],
  );
}

/** A goblet that swirls from foot to lip: slices of strips, each turned on. */
export function whirlpoolGoblet(): Project {
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
      made('twisted', 12, {
        stripsMm: strips,
        from: `section-${Math.floor(i / each) + 1}`,
        boardMm: mm(54),
        kerfMm: mm(1.6),
      }),
      turn,
    ]),
  );
}

/** Light segments and dark leaning wafers between caps, woven over five rings. */
export function gatheringBasket(): Project {
  const palette = [entry('white-ash', 'light'), entry('black-walnut', 'dark')];
  const woven = (i: number): Course => [
    11,
    made('basket', 24, { waferMm: mm(3), leanDeg: 22, hand: 'right' }),
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
}

/** Tumbling blocks, woven bands, studs and stairs, one above the other. */
export function conjurersVase(): Project {
  const palette = [entry('american-holly', 'light'), entry('black-cherry', 'middle'), entry('wenge', 'dark')];
  const figure = (name: ParamsOf<'illusion'>['figure'], rows: number) =>
    made('illusion', 18, { figure: name, rows });
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
}

/** Half a facetted globe on a low turned stand, and a pair of links that pass through each other. */
export function beaconGlobe(): Project {
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
  const globe: BlankMaking = { ...BLANKS.globe.begun, part: 'half' };
  const links: BlankMaking = { ...BLANKS.bent.begun, outerMm: mm(10), linkAsideMm: mm(60) };
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
}
