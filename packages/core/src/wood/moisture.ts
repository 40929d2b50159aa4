import type { Climate } from '../settings/climate.js';

/**
 * The moisture that wood comes to in air of a humidity and a temperature, %: the Hailwood–Horrobin equation with the coefficients of
 * the Wood Handbook (USDA FPL), ch. 4, in °C; from memory, held to the handbook's table. `humidity` 0 to 100 %.
 */
export function equilibriumMoisture(humidity: number, celsius: number): number {
  const h = humidity / 100;
  const t = celsius;
  const weight = 349 + 1.29 * t + 0.0135 * t * t;
  const k = 0.805 + 0.000736 * t - 0.00000273 * t * t;
  const k1 = 6.27 - 0.00938 * t - 0.000303 * t * t;
  const k2 = 1.91 + 0.0407 * t - 0.000293 * t * t;
  const kh = k * h;
  const single = kh / (1 - kh);
  const double = (k1 * kh + 2 * k1 * k2 * kh * kh) / (1 + k1 * kh + k1 * k2 * kh * kh);
  return (1800 / weight) * (single + double);
}

/** Weight of wood at one moisture over its weight at another, % of dry weight each. */
export const weightOver = (moisture: number, other: number): number => (100 + moisture) / (100 + other);

/**
 * Days until a board has come half of the way from its moisture to that of the room, stacked in air: common practice has a year for an
 * inch of green hardwood, less by the square of the thickness. A working value of this project; weigh boards to be sure.
 */
export const halfWayDays = (thicknessMm: number): number => 45 * (thicknessMm / 25.4) ** 2;

/** Days until a board is within so many % of the room's moisture; 0 where it is already. */
export function daysToWait(
  boardPercent: number,
  roomPercent: number,
  thicknessMm: number,
  within = 1,
): number {
  const over = Math.abs(boardPercent - roomPercent);
  return over <= within ? 0 : halfWayDays(thicknessMm) * Math.log2(over / within);
}

/** The moisture that a piece comes to in the room when it is driest and dampest, %, and how far that is from its boards at the most. */
export function moistureRange({ boardsPercent, dryHumidity, dampHumidity, celsius }: Climate) {
  const [dry, damp] = [dryHumidity, dampHumidity].map((humidity) =>
    equilibriumMoisture(humidity, celsius),
  ) as [number, number];
  return { dry, damp, most: Math.max(Math.abs(dry - boardsPercent), Math.abs(damp - boardsPercent)) };
}

/** The humidity in which wood comes to a moisture at a temperature, % each: the equation above, turned round by halving. */
export function humidityFor(moisture: number, celsius: number): number {
  let [low, high] = [0, 99.9];
  while (high - low > 1e-6) {
    const middle = (low + high) / 2;
    if (equilibriumMoisture(middle, celsius) < moisture) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/**
 * Moisture that wood for indoors is to have, and between which it comes and goes there, % (Wood Handbook, USDA FPL, ch. 13, recommended
 * moisture of wood for interior use; from memory).
 */
export const REGIONS = {
  most: { name: 'Most places, heated and cooled', percent: 8, from: 6, to: 10 },
  dry: { name: 'Dry inland, like a desert', percent: 6, from: 4, to: 9 },
  damp: { name: 'Damp, warm coast', percent: 11, from: 8, to: 13 },
} as const;
export type Region = keyof typeof REGIONS;

/** The room of a region, with boards as they are to be there; humidities to the whole per cent. */
export function climateIn(region: Region, celsius: number): Climate {
  const { percent, from, to } = REGIONS[region];
  const [dryHumidity, dampHumidity] = [from, to].map((moisture) =>
    Math.round(humidityFor(moisture, celsius)),
  ) as [number, number];
  return { boardsPercent: percent, dryHumidity, dampHumidity, celsius };
}
