import type { Mm } from '../measure/quantity.js';
import { mm } from '../measure/quantity.js';
import { DEFAULT_SHOP, type Shop, withUnits } from './shop.js';

const INCH = 25.4;
/** What lengths are round to, the coarsest first, mm. */
const ROUND = {
  mm: [100, 50, 20, 10, 5, 2, 1, 0.5, 0.25, 0.1, 0.05],
  inches: [1, 1 / 2, 1 / 4, 1 / 8, 1 / 16, 1 / 32, 1 / 64].map((of) => of * INCH),
};
/** A length is made round where that changes it by no more than this. */
const CHANGE = 0.06;

/** A length that is round in some units: to the coarsest step that hardly changes it, else to the finest; as it is where it is less than that. */
export function roundLength(length: Mm, units: Shop['units']): Mm {
  const steps = ROUND[units === 'mm' ? 'mm' : 'inches'];
  const near = (step: number) => Math.round(length / step) * step;
  const step = steps.find((step) => near(step) > 0 && Math.abs(near(step) - length) <= CHANGE * length);
  const finest = steps.at(-1)!;
  return length < finest ? length : mm(near(step ?? finest));
}

/** Settings with all lengths in them round: those whose names end in Mm. */
function rounded<T>(settings: T, units: Shop['units']): T {
  if (Array.isArray(settings)) return settings.map((each) => rounded(each, units)) as T;
  if (typeof settings !== 'object' || settings === null) return settings;
  return Object.fromEntries(
    Object.entries(settings).map(([key, value]) => [
      key,
      typeof value === 'number' && key.endsWith('Mm') ? roundLength(mm(value), units) : rounded(value, units),
    ]),
  ) as T;
}

/** The shop that somebody starts with who measures so: as it usually is, with figures that are round there. */
export const startingShop = (units: Shop['units']): Shop =>
  withUnits({ ...rounded(DEFAULT_SHOP, units), ...steps() }, units);

/** Steps of measuring go by their own table. */
const steps = () => {
  const { ripStepMm, lengthStepMm, stopTogetherMm } = DEFAULT_SHOP;
  return { ripStepMm, lengthStepMm, stopTogetherMm };
};
