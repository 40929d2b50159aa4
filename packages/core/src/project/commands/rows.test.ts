import { describe, expect, test } from 'vitest';
import { demoProjects } from '../../demo/index.js';
import { planedStrip } from '../../making/planing.js';
import { type Mm, mm } from '../../measure/quantity.js';
import { DEFAULT_SHOP } from '../../settings/shop.js';
import { after, change, planned, refusal } from '../../testing/pieces.js';
import * as edit from './edits.js';

const cup = demoProjects()[0]!;
const RING = 8;

/** The ring made of layers outside to inside, spacers between its segments, every place of a wood of its own. */
const layered = (layersMm: readonly number[]) => {
  const made = after(
    cup,
    edit.setMaking([RING], {
      way: 'segmented',
      count: 24,
      between: { put: 'spacers', spacers: { at: 'even', number: 2, thicknessMm: mm(2) } },
      sawnFrom: { is: 'layers', laid: 'outside-in', layersMm: layersMm.map((layer) => mm(layer)) },
    }),
  );
  const keys = ['sugar-maple', 'black-walnut', 'purpleheart'];
  const { woods } = made.rings[RING]!;
  return after(
    made,
    edit.paint(woods.map((_, place) => ({ ring: RING, place, key: keys[(place * 5) % 3]! }))),
  );
};
const row = (sizeMm: number, like: number, key?: string) => ({
  sizeMm: sizeMm as Mm,
  like,
  ...(key && { key }),
});

describe('rows of a board', () => {
  test('moved and copied rows keep the wood of every place; spacers keep theirs; one may get another wood', () => {
    const before = layered([4]);
    const of = (piece: typeof before, first: number, count = 24) =>
      piece.rings[RING]!.woods.slice(first, first + count);
    const [outer, inner, spacers] = [of(before, 0), of(before, 24), of(before, 48, 2)];
    expect(new Set(outer).size).toBe(3);
    const turned = after(before, edit.setRows([RING], [row(9, 1), row(4, 0)]));
    expect(turned.rings[RING]!.making).toMatchObject({ sawnFrom: { layersMm: [9] } });
    expect([of(turned, 0), of(turned, 24), of(turned, 48, 2)]).toEqual([inner, outer, spacers]);
    const copied = after(before, edit.setRows([RING], [row(4, 0), row(3, 0, 'purpleheart'), row(9, 1)]));
    expect(copied.rings[RING]!.making).toMatchObject({ sawnFrom: { layersMm: [4, 3] } });
    expect([of(copied, 0), of(copied, 48), of(copied, 72, 2)]).toEqual([outer, inner, spacers]);
    expect(new Set(of(copied, 24))).toEqual(new Set(['purpleheart']));
  });

  test('rows that are added take of the one that has what is left: mirrored or copied, the board can be made', () => {
    const before = layered([2]);
    const left = 12;
    const layersOf = (piece: typeof before) =>
      (piece.rings[RING]!.making as unknown as { sawnFrom: { layersMm: number[] } }).sawnFrom.layersMm;
    const mirrored = after(before, edit.setRows([RING], [row(2, 0), row(left, 1), row(2, 0)]));
    expect(layersOf(mirrored)).toEqual([2, left - 2]);
    expect(layersOf(after(before, edit.setRows([RING], [row(2, 0), row(left, 1), row(left, 1)])))).toEqual([
      2,
      left / 2,
    ]);
    // Where nothing would be left of it rows are as they are asked for, and the ring says so.
    expect(layersOf(after(before, edit.setRows([RING], [row(9, 0), row(4, 1), row(9, 0)])))).toEqual([9, 4]);
  });

  test('what no board can be is refused with its limit, and nothing changes; rings without a board are left alone', () => {
    expect(refusal(layered([4]), edit.setRows([RING], [row(0.1, 0), row(9, 1)]))).toMatch(
      /Ring 9: Layer is 0.1/,
    );
    expect(refusal(layered([4]), edit.setRows([RING], []))).toMatch(/no layer/);
    expect(change(cup, edit.setRows([RING], [row(4, 0)])).project).toEqual(cup);
  });

  test('layers of a spacer: as thick as they are together; of one row it is of one piece', () => {
    const spaced = after(cup, edit.startFrom([RING], 'spaced'));
    const layers = after(spaced, edit.setRows([RING], [row(0.5, 0), row(2, 0, 'purpleheart'), row(0.5, 0)]));
    expect(layers.rings[RING]!.making).toMatchObject({
      between: { spacers: { thicknessMm: 3, layers: { layersMm: [0.5, 2], turned: 'none' } } },
    });
    expect(layers.rings[RING]!.woods.slice(48, 72)).toEqual(Array.from({ length: 24 }, () => 'purpleheart'));
    const whole = after(layers, edit.setRows([RING], [row(2, 1)]));
    expect(whole.rings[RING]!.making).toMatchObject({
      between: { spacers: { at: 'every', thicknessMm: 2 } },
    });
    expect(JSON.stringify(whole.rings[RING]!.making)).not.toContain('layers');
  });
});

test('of layers one above the other, only the lowest and the topmost are planed with what is sanded off', () => {
  const stacked = after(
    cup,
    edit.setMaking([RING], {
      way: 'segmented',
      count: 24,
      sawnFrom: { is: 'layers', laid: 'bottom-up', layersMm: [mm(6), mm(4)], turned: 'second' },
    }),
  );
  const one = after(stacked, edit.setWood([RING], 'sugar-maple'));
  const shop = { ...DEFAULT_SHOP, faceSandingMm: mm(0.5), ripStepMm: mm(0.25) };
  const strips = planned(one).rings[RING]!.pieces.flatMap(({ kind: { stock } }) =>
    stock.from === 'strip' ? [stock] : [],
  );
  const high = one.rings[RING]!.heightMm;
  expect(strips.map((stock) => planedStrip(stock, shop, 2))).toEqual([
    6.5,
    4,
    expect.closeTo(Math.ceil((high - 10 + 0.5) / 0.25) * 0.25, 9),
  ]);
  // A ring that is not sanded at all is planed as it is.
  expect(strips.map((stock) => planedStrip(stock, shop, 0))).toEqual([6, 4, expect.closeTo(high - 10, 9)]);
});
