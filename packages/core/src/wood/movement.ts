/** Moisture content below which wood shrinks, %: the fibre saturation point the handbook reckons with. */
const FIBRE_SATURATION = 30;
/** Moisture content at which the change coefficient's dimension is taken, %. */
const REFERENCE = 10;

/**
 * Change of a dimension across the grain for each percent of moisture, as a share of the dimension at 10 % moisture:
 * `C = (S/30) / (1 − S·(30 − 10)/30)`, S the shrinkage from green to oven-dry as a share. Shrinkage is taken as straight
 * from 30 % to dry, as the Wood Handbook (USDA FPL), ch. 13, does; from memory. `shrinkagePercent` 0 to 30.
 */
export function changeCoefficient(shrinkagePercent: number): number {
  const whole = shrinkagePercent / 100;
  return whole / FIBRE_SATURATION / (1 - (whole * (FIBRE_SATURATION - REFERENCE)) / FIBRE_SATURATION);
}
