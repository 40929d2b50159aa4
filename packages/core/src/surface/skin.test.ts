import { describe, expect, test } from 'vitest';
import { demoProjects } from '../demo/index.js';
import { woodVolume } from '../form/volume.js';
import { mm } from '../measure/quantity.js';
import { type Prepared, prepare } from '../project/prepare.js';
import { placeOnWall, sampledCuts, sampledRings, shownOn } from '../project/standing.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import { PLAIN_FIGURE, SHIPPED_FIGURES } from '../wood/figure.js';
import { type Dress, dressing } from './dressed.js';
import { type SampledSkin, skinLine, skinning } from './skin.js';

function finished<T>(work: Generator<number, T>): T {
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}
const demos = demoProjects().map((project) => {
  const made = prepare(project);
  if (!made.ok) throw new Error(project.name);
  return [project.name, made.value] as const;
});
const named = (name: string): Prepared => demos.find(([known]) => known.startsWith(name))![1];
const skinOf = (piece: Prepared, columns: number): SampledSkin =>
  finished(skinning(piece.vessel, sampledRings(piece), columns, sampledCuts(piece)));

describe('the line round a turned piece', () => {
  // By the divergence theorem the volume is π∮r² dz; the form's own volume is integrated from its curves.
  test.each(demos)('%s: encloses the wood of its form, its normals pointing out', (_, { vessel }) => {
    const { stretches, lengthMm, outside } = skinLine(vessel);
    let volume = 0;
    let last = 0;
    for (const stretch of stretches)
      for (let i = 1; i < stretch.length; i++) {
        const [a, b] = [stretch[i - 1]!, stretch[i]!];
        volume += ((Math.PI * (a.radius ** 2 + a.radius * b.radius + b.radius ** 2)) / 3) * (b.z - a.z);
        const [dr, dz] = [b.radius - a.radius, b.z - a.z];
        const long = Math.hypot(dr, dz);
        expect(b.alongMm - a.alongMm).toBeCloseTo(long, 6);
        // Outward is to the right of the way from the foot up the outside.
        for (const { level, rise } of [a, b]) expect((dz * level - dr * rise) / long).toBeGreaterThan(0.8);
        last = b.alongMm;
      }
    expect(last).toBeCloseTo(lengthMm, 6);
    expect(volume / woodVolume(vessel, 0, vessel.heightMm)).toBeCloseTo(1, 2);
    expect(0 < outside[0] && outside[0] < outside[1] && outside[1] <= lengthMm).toBe(true);
  });
});

describe('the sampled surface', () => {
  test.each(demos)('%s: no wood is missing but where gaps are meant', (_, piece) => {
    for (const columns of [96, 250]) expect(skinOf(piece, columns).whole).toBe(true);
  });
  test.each(demos)('%s: shows what is met on its walls', (_, piece) => {
    const skin = skinOf(piece, 180);
    const top = piece.vessel.heightMm;
    const marked = piece.rings.length + piece.bands.length;
    const wrong = { outside: 0, inside: 0 };
    let asked = 0;
    for (let row = 2; row < skin.rows; row += 3) {
      const along = ((row + 0.5) / skin.rows) * skin.line.lengthMm;
      const [from, to] = skin.line.outside;
      const side = along > from && along < to ? 'outside' : 'inside';
      const z = skin.height[row]!;
      if (
        side === 'inside' &&
        (along < to || z > piece.vessel.hollowToMm - 1 || z < piece.vessel.hollowFromMm + 1)
      )
        continue;
      if (z < 0.5 || z > top - 0.5) continue;
      for (let column = 1; column < skin.columns; column += 7) {
        const at = row * skin.columns + column;
        if (skin.ring[at]! >= marked) continue;
        const met = placeOnWall(piece, side, ((column + 0.5) / skin.columns) * 2 * Math.PI, z);
        asked++;
        if ((met?.ring ?? -1) !== skin.ring[at] && met) wrong[side]++;
        else if ((met?.place ?? -1) !== skin.place[at]) wrong[side]++;
      }
    }
    // Points within a hair of a joint may go either way.
    expect(asked).toBeGreaterThan(200);
    expect(wrong.outside + wrong.inside).toBeLessThan(0.02 * asked);
  });
  test('a form that swells out of its rings is not whole', () => {
    const piece = named('Best Fleece');
    const [outside, ...others] = sampledRings(piece);
    const without = [{ ...outside!, made: null }, ...others];
    expect(finished(skinning(piece.vessel, without, 96)).whole).toBe(false);
  });
  test('what is let in shows on the outside only', () => {
    const piece = named('Sheepwash');
    const skin = skinOf(piece, 720);
    const rows = new Set<number>();
    skin.ring.forEach((ring, i) => {
      if (ring >= piece.rings.length + piece.bands.length) rows.add(Math.floor(i / skin.columns));
    });
    expect(rows.size).toBeGreaterThan(3);
    for (const row of rows) {
      const along = ((row + 0.5) / skin.rows) * skin.line.lengthMm;
      expect(along).toBeLessThan(skin.line.outside[1]);
    }
  });
});

describe('dressed in wood', () => {
  const piece = named('Shepherd');
  const skin = skinOf(piece, 360);
  const shown = shownOn(piece);
  const dress = (change: Partial<Dress> = {}): Dress => ({
    inks: [{ r: 200, g: 150, b: 100, figure: { ringMm: mm(3), contrast: 0, pores: 'none' } }],
    ofPlace: shown.map(({ woods }) => new Uint8Array(woods.length)),
    joined: shown.map(() => null),
    glue: false,
    ...change,
  });
  const worn = (change?: Partial<Dress>) => finished(dressing(skin, sampledRings(piece), dress(change)));
  const light = (pixels: Uint8Array, at: number) => pixels[4 * at]! / 200;
  test('air is air, and wood keeps its hue', () => {
    const pixels = worn();
    let [air, other] = [0, 0];
    skin.place.forEach((place, i) => {
      if (pixels[4 * i + 3] !== (place < 0 ? 0 : 255)) other++;
      if (place < 0) air++;
      else if (!(Math.abs(pixels[4 * i + 2]! / pixels[4 * i]! - 0.5) < 0.05)) other++;
    });
    expect(other).toBe(0);
    expect(air).toBeGreaterThan(1000);
    expect(worn()).toEqual(pixels);
  });
  test('glue lines are darker, where they are wanted and not hidden', () => {
    const [plain, glued] = [worn(), worn({ glue: true })];
    const hidden = worn({ glue: true, joined: shown.map(({ woods }) => new Int16Array(woods.length)) });
    const darker = (pixels: Uint8Array) =>
      skin.place.reduce(
        (sum, place, i) => sum + (place >= 0 && light(pixels, i) < 0.75 * light(plain, i) ? 1 : 0),
        0,
      );
    expect(darker(plain)).toBe(0);
    expect(darker(glued)).toBeGreaterThan(darker(hidden) + 1000);
    expect(darker(hidden)).toBeGreaterThan(1000);
  });
  test('pieces of one wood differ, and end grain is darker', () => {
    const pixels = worn();
    const byPiece = new Map<string, number[]>();
    skin.place.forEach((place, i) => {
      if (place < 0 || skin.end[i]! > 60) return;
      const key = `${skin.ring[i]} ${place}`;
      byPiece.set(key, [...(byPiece.get(key) ?? []), light(pixels, i)].slice(-40));
    });
    const means = [...byPiece.values()]
      .filter(({ length }) => length > 30)
      .map((all) => all.reduce((a, b) => a + b) / all.length);
    expect(Math.max(...means) - Math.min(...means)).toBeGreaterThan(0.03);
    const mean = (wanted: (end: number) => boolean) => {
      const all = [...skin.end.keys()].filter((i) => skin.place[i]! >= 0 && wanted(skin.end[i]!));
      return all.reduce((sum, i) => sum + light(pixels, i), 0) / all.length;
    };
    expect(mean((end) => end > 220)).toBeLessThan(0.93 * mean((end) => end < 30));
  });
  test('every shipped wood has a figure of its own, and none is left over', () => {
    expect(Object.keys(SHIPPED_FIGURES).sort()).toEqual(SHIPPED_WOODS.map(({ id }) => id).sort());
    expect(Object.values(SHIPPED_FIGURES)).not.toContain(PLAIN_FIGURE);
  });
});
