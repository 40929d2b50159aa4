import { describe, expect, test } from 'vitest';
import { climateSchema, USUAL_CLIMATE } from '../settings/climate.js';
import { FINISH_IDS, FINISHES, sandedOff, takenByGrit } from '../settings/finishes.js';
import { agedColour } from './ageing.js';
import { SHIPPED_WOODS } from './catalogue.js';
import { labOf } from './colour.js';
import {
  climateIn,
  daysToWait,
  equilibriumMoisture,
  humidityFor,
  moistureRange,
  REGIONS,
  type Region,
  weightOver,
} from './moisture.js';
import { underFinish } from './underFinish.js';

const wood = (id: string) => SHIPPED_WOODS.find((each) => each.id === id)!;

describe('moisture', () => {
  test.each([
    [30, 6.2],
    [50, 9.2],
    [65, 12.0],
    [80, 16.0],
  ])(
    'at 70 °F and %d %% of humidity wood comes to %d %% (Wood Handbook, ch. 4, table of equilibrium moisture)',
    (humidity, moisture) => {
      expect(equilibriumMoisture(humidity, ((70 - 32) * 5) / 9)).toBeCloseTo(moisture, 0.9);
      expect(Math.abs(equilibriumMoisture(humidity, 21.1) - moisture)).toBeLessThan(0.1);
    },
  );
  test('dry air takes all of it, warm air a little', () => {
    expect(equilibriumMoisture(0, 20)).toBeCloseTo(0, 9);
    expect(equilibriumMoisture(50, 40)).toBeLessThan(equilibriumMoisture(50, 10));
  });
  test('a room’s year, against the boards', () => {
    const { dry, damp, most } = moistureRange(USUAL_CLIMATE);
    expect(most).toBeCloseTo(Math.max(8 - dry, damp - 8), 9);
    const wrong = climateSchema.safeParse({ ...USUAL_CLIMATE, dryHumidity: 70 });
    expect(wrong.error?.issues[0]?.message).toContain('dampest month is drier');
    expect(climateSchema.safeParse({ ...USUAL_CLIMATE, boardsPercent: -1 }).success).toBe(false);
  });
  test('a room by its region: wood in it comes to what the handbook has for it, to the whole per cent of air', () => {
    for (const region of Object.keys(REGIONS) as Region[]) {
      const climate = climateIn(region, 21);
      expect(climateSchema.safeParse(climate).success).toBe(true);
      const { dry, damp } = moistureRange(climate);
      const { from, to, percent } = REGIONS[region];
      expect(Math.abs(dry - from)).toBeLessThan(0.12);
      expect(Math.abs(damp - to)).toBeLessThan(0.12);
      expect(climate.boardsPercent).toBe(percent);
    }
    // The table's 50 % and 65 % the other way round.
    expect(humidityFor(9.2, 21.1)).toBeCloseTo(50, 0);
    expect(humidityFor(12, 21.1)).toBeCloseTo(65, 0);
  });
  test('boards wait longer the thicker they are, by the square; near enough ones not at all', () => {
    expect(daysToWait(20, 9, 50.8)).toBeCloseTo(4 * daysToWait(20, 9, 25.4), 9);
    expect(daysToWait(9.5, 9, 25.4)).toBe(0);
    expect(daysToWait(11, 9, 25.4)).toBeGreaterThan(20);
    // 100 g of dry wood weigh 120 g at 20 % and 109 g at 9 %.
    expect(weightOver(9, 20)).toBeCloseTo(109 / 120, 9);
  });
});

describe('finishes', () => {
  test('every one has an order that ends: grits rise, waits are told, coats are coats', () => {
    for (const id of FINISH_IDS) {
      const { grits, coats, coatHours, useDays, foodDays } = FINISHES[id];
      expect([...grits].sort((a, b) => a - b)).toEqual(grits);
      expect(coats === 0).toBe(coatHours === 0);
      if (foodDays !== null) expect(foodDays).toBeGreaterThanOrEqual(useDays);
    }
  });
  test('a grit takes off the scratches of the one before: half its grain (P120 125 µm, P180 82 µm; FEPA 43-1, from memory)', () => {
    expect(takenByGrit([120, 180, 240]).map(({ mm }) => mm)).toEqual([0.1, 0.0625, 0.041]);
    expect(sandedOff([120, 180, 240])).toBeCloseTo(0.2035, 9);
  });
  test('oil darkens and warms, no finish is palest, a clear film leaves the colour; ageing goes on under it', () => {
    for (const id of ['sugar-maple', 'black-cherry', 'black-walnut']) {
      const species = wood(id);
      const of = (finish: Parameters<typeof underFinish>[1]) => labOf(underFinish(species, finish).colour);
      const clear = labOf(species.colour);
      expect(underFinish(species, 'lacquer')).toBe(species);
      expect(of('oil').l).toBeLessThan(clear.l - 2);
      expect(Math.hypot(of('oil').a, of('oil').b)).toBeGreaterThan(Math.hypot(clear.a, clear.b));
      expect(of('none').l).toBeGreaterThan(clear.l);
      // To what eight bits a channel show.
      expect(Math.abs(of('oil').b - (FINISHES.oil.colour.chroma * clear.b + 2))).toBeLessThan(0.8);
      const oiled = underFinish(species, 'oil');
      const [ten, clearTen] = [labOf(agedColour(oiled, 10)), labOf(agedColour(species, 10))];
      expect(ten.l).toBeLessThan(clearTen.l);
      expect(agedColour(oiled, 0)).toBe(oiled.colour);
    }
  });
});
