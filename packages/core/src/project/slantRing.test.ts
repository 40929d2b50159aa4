import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { threeBecksVase } from '../demo/slanted.js';
import type { StripStock } from '../making/stock.js';
import { plain } from '../measure/said.js';
import type { Slant } from '../ring/slant.js';
import { DEFAULT_SHOP } from '../settings/shop.js';
import { after, planned, refusal } from '../testing/pieces.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';
import * as edit from './commands/edits.js';
import { inspect } from './inspect.js';
import { mirrorImage } from './mirror.js';
import { workOf } from './ordered.js';
import { prepare } from './prepare.js';
import { drawnOf } from './standing.js';

const vase = threeBecksVase();
const COUNT = 10;
/** Evenly spread: doubles crowd about 0. */
const spread = fc.integer({ min: -500, max: 500 }).map((tenth) => tenth / 10 + 0.037);
const ringed = after(vase, edit.setSlant(0, { count: COUNT }));
const bandOf = (piece: typeof vase) => {
  const prepared = prepare(piece);
  if (!prepared.ok) throw new Error('vase');
  return prepared.value.bands[0]!;
};

describe('a slanted band that is a ring of segments', () => {
  test('every point belongs to the segment that it has in the band’s own plane, turned level (independent of how it is drawn)', () => {
    const { made, slant, bottomMm } = bandOf(ringed);
    const sigma = (slant.slantDeg * Math.PI) / 180;
    fc.assert(
      fc.property(spread, spread, fc.integer({ min: 0, max: 1000 }), (x, y, mille) => {
        const z = (mille / 1000) * made.heightMm;
        // Turned by −σ about the level line through the point where the cut meets the axis, the band lies flat.
        const up = bottomMm + z - slant.heightMm;
        const flat = { x: x * Math.cos(sigma) - up * Math.sin(sigma), y };
        const psi = (Math.atan2(flat.y, flat.x) + 2 * Math.PI) % (2 * Math.PI);
        const share = (psi / (2 * Math.PI)) * COUNT;
        if (Math.abs(share - Math.round(share)) < 1e-6) return;
        expect(made.placeAt(x, y, z)).toBe(Math.floor(share));
      }),
      { numRuns: 400 },
    );
  });
  test('its pieces as drawn hold the points that it says are theirs', () => {
    const { made } = bandOf(ringed);
    fc.assert(
      fc.property(spread, spread, fc.integer({ min: 1, max: 99 }), (x, y, percent) => {
        const share = percent / 100;
        const place = made.placeAt(x, y, share * made.heightMm)!;
        const [piece] = made.lay(place);
        const outline = piece!.bottom.map((p, i) => ({
          x: p.x + share * (piece!.top[i]!.x - p.x),
          y: p.y + share * (piece!.top[i]!.y - p.y),
        }));
        const sides = outline.map((p, i) => {
          const q = outline[(i + 1) % outline.length]!;
          return (q.x - p.x) * (y - p.y) - (q.y - p.y) * (x - p.x);
        });
        expect(Math.min(...sides)).toBeGreaterThan(-1e-6);
      }),
    );
  });
  test('takes as much of the piece as a board does, in as many pieces; strips as of a flat ring in its plane', () => {
    const [board, ring] = [planned(vase), planned(ringed)];
    expect(ring.woodMm3 / board.woodMm3).toBeCloseTo(1, 4);
    expect(ring.pieces - board.pieces).toBe(COUNT - 1);
    const { lengthMm, widthMm } = bandOf(ringed);
    const [pieces] = ring.slants[0]!.pieces;
    const stock = pieces!.kind.stock as StripStock;
    // Lo = 2·Ro·tan(180°/N), on the longer half of the board that it takes the place of.
    expect(stock.longEdgeMm).toBeCloseTo(Math.max(lengthMm, widthMm) * Math.tan(Math.PI / COUNT), 6);
    expect(stock.shortEdgeMm).toBeGreaterThan(0);
    expect(ring.lumber.strips.some(({ cuts }) => cuts.some(({ owner }) => owner?.of === 'band'))).toBe(true);
  });
  test('is painted segment by segment; another count takes the paint away', () => {
    const other = vase.palette.find(({ key }) => key !== vase.slants![0]!.wood)!.key;
    const painted = after(ringed, edit.setSlantWood(0, other, [2, 5]));
    expect(planned(painted).slants[0]!.pieces.map(({ count }) => count)).toEqual([8, 2]);
    expect(drawnOf(unwrap(painted)).find(({ band }) => band === 0)!.woods[5]).toBe(other);
    expect(planned(painted).woodMm3).toBeCloseTo(planned(ringed).woodMm3, 3);
    expect(after(painted, edit.setSlant(0, { count: 12 })).slants![0]!.woods).toBeUndefined();
    expect(
      'count' in after(painted, edit.setSlant(0, { count: undefined } as Partial<Slant>)).slants![0]!,
    ).toBe(false);
    expect(mirrorImage(painted, 'm').slants![0]!.woods).toEqual([...painted.slants![0]!.woods!].reverse());
  });
  test('is glued up flat before the stack is sawn for it', () => {
    const work = workOf(ringed, DEFAULT_SHOP, SHIPPED_WOODS);
    if (!work.ok) throw new Error('work');
    const ids = planned(ringed).slants[0]!.steps.map(({ id }) => id);
    expect(ids).toEqual(['board', 'saw', 'ring', 'mark', 'cut', 'true', 'glue']);
    expect(planned(vase).slants[0]!.steps.map(({ id }) => id)).toEqual([
      'board',
      'mark',
      'cut',
      'true',
      'glue',
    ]);
    const own = work.value.jobs.filter(({ id }) => id.includes('band-'));
    expect(own.length).toBeGreaterThan(5);
  });
  test('too few segments, and woods that do not fit them, are refused', () => {
    expect(refusal(vase, edit.setSlant(0, { count: 2 }))).toMatch(/Segments of the band is 2/);
    const wrong = {
      ...ringed,
      slants: ringed.slants!.map((slant, i) => (i === 0 ? { ...slant, woods: [slant.wood] } : slant)),
    };
    expect(inspect(wrong).map(({ code, message }) => [code, plain(message)])).toEqual([
      ['wood-count', 'Slanted band 1 has 10 pieces and 1 woods; it needs one for each.'],
    ]);
  });
});

function unwrap(piece: typeof vase) {
  const prepared = prepare(piece);
  if (!prepared.ok) throw new Error('vase');
  return prepared.value;
}
