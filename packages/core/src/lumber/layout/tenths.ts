/** Sizes in whole tenths of a millimetre: what is wanted is rounded up, what there is is rounded down. */
export const up = (sizeMm: number): number => Math.ceil(10 * sizeMm - 1e-6);
export const down = (sizeMm: number): number => Math.floor(10 * sizeMm + 1e-6);
