import { expect, test } from 'vitest';
import { mm } from '../../measure/quantity.js';
import { plain } from '../../measure/said.js';
import { DEFAULT_SHOP } from '../../settings/shop.js';
import { heldReversed, turnedRoundSaid } from './held.js';
import { blockThickness, type Held, seatFor, seatsFor, spareThickness } from './holding.js';

const INCH = 25.4;
const bowl: Held = {
  faceMm: 4 * INCH,
  widestMm: 9 * INCH,
  solidMm: 0.5 * INCH,
  underFootMm: 3,
  spareMm: 0,
  foot: true,
};

// craft 17: fastening + parting tool (1/8 in) + hollow under the foot + 1/8 in.
test('a block that is never gripped again is as thick as all that is taken of it', () => {
  expect(blockThickness(bowl, DEFAULT_SHOP)).toBeCloseTo((0.5 + 0.125 + 0.125) * INCH + 3, 9);
});

// craft 17: a gripped tenon of at least a third of the work's diameter before a plate before a spread recess.
test('a tenon of a third of the work is proposed where the jaws take it, else a plate', () => {
  const [tenon] = seatsFor(bowl, DEFAULT_SHOP);
  expect(tenon).toMatchObject({ seat: 'tenon', wrong: null });
  expect(tenon!.acrossMm).toBeCloseTo(3 * INCH, 9);
  const wide = seatsFor({ ...bowl, widestMm: 18 * INCH, faceMm: 8 * INCH }, DEFAULT_SHOP);
  expect(wide[0]).toMatchObject({ seat: 'plate' });
  expect(plain(wide.find(({ seat }) => seat === 'tenon')!.wrong!)).toMatch(
    /152.4 mm; your jaws grip no more than 127 mm/,
  );
  const thin = seatsFor({ ...bowl, faceMm: 2.5 * INCH }, DEFAULT_SHOP);
  expect(plain(thin.find(({ seat }) => seat === 'tenon')!.wrong!)).toMatch(/no shoulder/);
});

test('a recess is warned off in a small foot, a thin floor, when shallow, and where the work hangs from its rim', () => {
  const why = (held: Partial<Held>, seatDeepMm = mm(0.25 * INCH)) => {
    const { workshop } = DEFAULT_SHOP;
    const shop = { ...DEFAULT_SHOP, workshop: { ...workshop, holding: { ...workshop.holding, seatDeepMm } } };
    const recess = seatsFor({ ...bowl, ...held }, shop).find(({ seat }) => seat === 'recess')!;
    return recess.wrong && plain(recess.wrong);
  };
  expect(why({})).toBeNull();
  expect(why({ faceMm: 1.5 * INCH })).toMatch(/too small for your jaws/);
  expect(why({ solidMm: 8 })).toMatch(/too little over it/);
  expect(why({}, mm(0.125 * INCH))).toMatch(/shallow/);
  expect(why({ foot: false })).toMatch(/hangs from its rim/);
});

test('what was chosen is taken where it can be', () => {
  expect(seatFor(bowl, DEFAULT_SHOP, 'recess').seat).toBe('recess');
  expect(seatFor({ ...bowl, foot: false }, DEFAULT_SHOP, 'recess').seat).toBe('tenon');
});

test('it is turned round in the rim jaws where they take it, else over a plug, solid between centres', () => {
  const round = (mouthMm: number, widestMm: number, hollow: boolean) => {
    const hold = heldReversed(mouthMm, widestMm, hollow, DEFAULT_SHOP);
    expect(hold).toMatchObject({ face: 'rim', tailstock: { up: true } });
    return [hold.by, plain(turnedRoundSaid(hold))];
  };
  expect(round(200, 230, true)).toEqual(['rim-jaws', expect.stringMatching(/rim jaws/)]);
  expect(round(200, 300, true)).toEqual([
    'plug',
    expect.stringMatching(/padded plug in its mouth of 200 mm/),
  ]);
  expect(round(40, 230, true)).toEqual(['plug', expect.stringMatching(/padded plug/)]);
  expect(round(0, 230, false)).toEqual(['between', expect.stringMatching(/between a padded drive/)]);
  // What the rim jaws hold counts, not what the chuck does.
  expect(heldReversed(200, 230, true, DEFAULT_SHOP).jaws!.mostMm).toBeCloseTo(10 * INCH, 9);
});

test('a spare foot is as high as the ring it may take the place of, and deep enough for a recess of its own', () => {
  expect(spareThickness(20, DEFAULT_SHOP)).toBe(20);
  // Seat 1/4 in, parting tool 1/8 in, margin 1/8 in.
  expect(spareThickness(6, DEFAULT_SHOP)).toBeCloseTo(0.5 * INCH, 9);
  const thin = { ...bowl, solidMm: 2 };
  const recess = (held: Held) => seatsFor(held, DEFAULT_SHOP).find(({ seat }) => seat === 'recess')!;
  expect(recess(thin).wrong).not.toBeNull();
  expect(recess({ ...thin, spareMm: 20 })).toMatchObject({ wrong: null });
  expect(plain(recess({ ...thin, spareMm: 20 }).says)).toMatch(/into the spare foot/);
  const [tenon] = seatsFor({ ...bowl, spareMm: 20 }, DEFAULT_SHOP);
  expect(plain(tenon!.says)).toBe(
    'Turn a tenon of 76.2 mm, 6.35 mm deep, on the spare foot, gripped by the jaws.',
  );
});
