import { describe, expect, test } from 'vitest';
import { fromDegrees, mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { from, OUTSIDE_IN, ring, staves } from '../../testing/answers.js';
import { EXAMPLE_NEED, madeRing, refusalOf } from '../../testing/rings.js';
import type { PieceKind } from '../contract.js';
import type { Spacers } from '../joints/spacers.js';
import { volumeOfAll } from '../layOut.js';
import type { PanelStock } from '../stock.js';
import { compoundAngles } from './staves.js';

const NEED = { outerRadiusMm: mm(100), innerRadiusMm: mm(80), heightMm: mm(60) };
const LEANING = { way: 'segmented', count: 12, staves: { leanDeg: 15 } } as const;

describe('staves', () => {
  test('a square corner leaning 38°: mitre 31.6°, blade 33.9°', () => {
    // Mitre-saw manuals' crown moulding table, written down from memory.
    const { mitre, bladeTilt } = compoundAngles(4, fromDegrees(38));
    expect((mitre * 180) / Math.PI).toBeCloseTo(31.6, 1);
    expect((bladeTilt * 180) / Math.PI).toBeCloseTo(33.9, 1);
  });

  test('upright they are bevelled at half their angle; lying flat they are a flat ring', () => {
    expect(compoundAngles(12, 0)).toEqual({ mitre: 0, bladeTilt: expect.closeTo(Math.PI / 12, 12) });
    expect(compoundAngles(12, Math.PI / 2)).toEqual({
      mitre: expect.closeTo(Math.PI / 12, 12),
      bladeTilt: expect.closeTo(0, 12),
    });
  });

  test('their faces meet at the angle that the figures tell (normals of two laid staves)', () => {
    const made = madeRing({ way: 'segmented', count: 8, staves: { leanDeg: 25 } });
    const normal = (place: number) => {
      const { bottom, top } = made.lay(place)[0]!;
      const [a, b, c] = [bottom[0]!, bottom[1]!, top[0]!];
      const [u, v] = [
        { x: b.x - a.x, y: b.y - a.y },
        { x: c.x - a.x, y: c.y - a.y },
      ];
      const n = [u.y * 20, -u.x * 20, u.x * v.y - u.y * v.x];
      const length = Math.hypot(...n);
      return n.map((value) => value / length);
    };
    const [p, q] = [normal(0), normal(1)];
    const between = Math.PI - Math.acos(p.reduce((sum, value, i) => sum + value * q[i]!, 0));
    expect(made.figures.find(({ key }) => key === 'angle-between-faces')!.value).toBeCloseTo(between, 10);
  });

  test('leaning so far that they meet is refused', () => {
    expect(
      plain(
        refusalOf(
          { way: 'segmented', count: 8, staves: { leanDeg: 70 } },
          { ...EXAMPLE_NEED, innerRadiusMm: mm(30), heightMm: mm(60) },
        )?.message ?? '',
      ),
    ).toMatch(/Leaning by 70° over 60 mm/);
  });

  test('a spacer as it is planed has the volume of the spacer as it lies, and stands like the staves', () => {
    const making = {
      ...LEANING,
      between: { put: 'spacers', spacers: { at: 'every', thicknessMm: mm(3) } },
    } as const;
    const made = madeRing(making, NEED);
    const [stave, spacer] = made.kinds as [
      PieceKind & { stock: PanelStock },
      PieceKind & { stock: PanelStock },
    ];
    const { lengthMm, widthMm, thicknessMm } = spacer.stock;
    expect(lengthMm * widthMm * thicknessMm).toBeCloseTo(volumeOfAll(made.lay(12)), 6);
    expect(thicknessMm).toBe(3);
    expect([stave.grain, spacer.grain]).toEqual(['upright', 'upright']);
    expect(lengthMm).toBe(stave.stock.lengthMm);
  });

  test('spacers move staves out by s/(2·sin θ), and narrow them by as much as they take of the circle', () => {
    // Apexes lie s/(2·sin θ) from the axis along the middle: by plane geometry.
    const apex = 3 / (2 * Math.sin(Math.PI / 12));
    const bare = madeRing(LEANING, NEED).kinds[0]!.stock as PanelStock;
    const spaced = madeRing(
      { ...LEANING, between: { put: 'spacers', spacers: { at: 'every', thicknessMm: mm(3) } } },
      NEED,
    ).kinds[0]!.stock as PanelStock;
    // Spacers end square at the corners, and the joint in the middle of one is the farthest in: the flat holds the circle.
    expect(bare.widthMm - spaced.widthMm).toBeCloseTo(2 * apex * Math.tan(Math.PI / 12), 1);
    expect(spaced.mitre).toBe(bare.mitre);
  });

  const PAIR = [0, 12].map((joint) => ({ joint, thicknessMm: mm(40) }));
  test.each([
    [-20, 4, { at: 'every', thicknessMm: mm(84) }],
    [20, 4, { at: 'every', thicknessMm: mm(84) }],
    [-20, 24, { at: 'picked', joints: PAIR }],
    [20, 24, { at: 'picked', joints: PAIR }],
  ] as const)(
    'leaning %i°, %i of them with thick spacers: wood is all round at the radius that was asked for, at every height',
    (leanDeg, count, spacers) => {
      const made = madeRing(
        {
          way: 'segmented',
          count,
          staves: { leanDeg },
          between: { put: 'spacers', spacers: spacers as Spacers },
        },
        NEED,
      );
      expect(made.gives.outerRadiusMm).toBeCloseTo(100, 9);
      const slope = Math.tan(fromDegrees(leanDeg));
      for (const z of [0.001, 30, 59.999])
        for (let i = 0; i < 360; i++) {
          const radius = 100 + slope * (z - 30) - 1e-4;
          expect(made.placeAt(radius * Math.cos(i / 57.3), radius * Math.sin(i / 57.3), z)).not.toBeNull();
        }
    },
  );

  test('layers of leaning staves: boards planed square to the face, lines told at half height', () => {
    const made = madeRing(
      { ...LEANING, sawnFrom: { is: 'layers', laid: 'outside-in', layersMm: [mm(8)] } },
      NEED,
    );
    const [outer, inner] = made.kinds.map(({ stock }) => stock as PanelStock);
    const whole = madeRing(LEANING, NEED).kinds[0]!.stock as PanelStock;
    expect(outer!.thicknessMm).toBeCloseTo(8, 9);
    expect(outer!.thicknessMm + inner!.thicknessMm).toBeCloseTo(whole.thicknessMm, 9);
    expect([outer!.widthMm, inner!.widthMm]).toEqual([whole.widthMm, whole.widthMm]);
    // 8 mm square to the face are 8/cos 15° on the level.
    const behindFlat = 100 - 8 / Math.cos(fromDegrees(15));
    const [line] = made.layers;
    expect(line).toMatchObject({ lean: Math.tan(fromDegrees(15)), nearMm: expect.closeTo(behindFlat, 9) });
    for (const z of [0, 30, 60]) {
      const behind = (mm: number) => {
        const radius = behindFlat + (z - 30) * line!.lean! - mm;
        return made.placeAt(radius * Math.cos(Math.PI / 12), radius * Math.sin(Math.PI / 12), z);
      };
      expect([behind(-0.01), behind(0.01)]).toEqual([0, 12]);
    }
    const steps = made.steps({ sandedMm: 0, stepMm: 0 }).map(({ id }) => id);
    expect(steps).toEqual(['board', 'staves', 'bevel', 'glue']);
  });

  test('pictures of layers and of dots in their faces are of a stave, seen from its end', () => {
    for (const faces of [OUTSIDE_IN, from('plugs')]) {
      const pictures = madeRing(ring({ ...staves(), ...faces }), NEED).pictures!();
      const [stave] = pictures.filter(({ title }) => title === 'Stave');
      expect(plain(stave!.says)).toMatch(/^A stave .*from its upper end/);
      expect(pictures.map(({ says }) => plain(says)).join()).not.toMatch(/segment/i);
    }
  });
});
