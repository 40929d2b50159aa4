import { glyphFromLoops } from '../exchange/outlineFile.js';
import type { Laminated } from '../making/laminated/params.js';
import type { Glyph } from '../making/lettered/params.js';
import { mm } from '../measure/quantity.js';
import { setInPixels } from '../pattern/pixelFace.js';

import { type Course, disc, drawnOnce, entry, flat, form, piece, sawn } from './build.js';

/** Zigzags, a band of chevrons and one of diamonds from laminated boards, between plain rings. */
export const drystoneVase = drawnOnce(() => {
  const palette = [entry('sugar-maple', 'light'), entry('black-walnut', 'dark'), entry('padauk', 'middle')];
  const band = (change: Partial<Laminated>) => sawn('laminated', 16, { kerfMm: mm(3), ...change });
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
});

/** Dots that swell as if seen through a drop of water, on a round bowl. */
export const dewpondBowl = drawnOnce(() => {
  const palette = [entry('sugar-maple', 'light'), entry('wenge', 'dark')];
  const rows = 7;
  const dots = (row: number): Course => [
    15,
    sawn('plugs', 30, {
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
});

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
export const secretarysBowl = drawnOnce(() => {
  const palette = [entry('black-cherry', 'light'), entry('american-holly', 'middle'), entry('wenge', 'dark')];
  const text = 'HOLLIN TARN SHOW ';
  const letters = [...new Set(text.replaceAll(' ', ''))];
  const band = sawn(
    'letters',
    text.length,
    {
      glyphs: letters.map(pixelGlyph),
      order: [...text].map((letter) => letters.indexOf(letter)),
      sizeMm: mm(23),
      depthMm: mm(9),
      cutterMm: mm(1),
    },
    { between: { put: 'spacers', spacers: { at: 'every', thicknessMm: mm(2.5) } } },
  );
  const framed = sawn('plugs', 24, {
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
});
