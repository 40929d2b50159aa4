declare const unit: unique symbol;

/** A length in millimetres. */
export type Mm = number & { readonly [unit]: 'mm' };
/** An angle in radians. */
export type Rad = number & { readonly [unit]: 'rad' };

/** Takes a number as millimetres. Throws on NaN and infinities: they are always a programmer's mistake. */
export function mm(value: number): Mm {
  if (!Number.isFinite(value)) throw new RangeError(`not a length in millimetres: ${value}`);
  return value as Mm;
}

/** Takes a number as radians. Throws on NaN and infinities. */
export function rad(value: number): Rad {
  if (!Number.isFinite(value)) throw new RangeError(`not an angle in radians: ${value}`);
  return value as Rad;
}

export const TURN = rad(2 * Math.PI);

export const degrees = (angle: Rad): number => (angle * 180) / Math.PI;
export const fromDegrees = (value: number): Rad => rad((value * Math.PI) / 180);
