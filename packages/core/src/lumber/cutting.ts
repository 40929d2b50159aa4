/**
 * The arithmetic of one strip cut into mitred pieces turned over between cuts. Lengths run along the strip, in mm;
 * derived in docs/how-it-computes.md, "Strips".
 */
export interface StripSetting {
  readonly widthMm: number;
  readonly cutAngle: number;
  readonly kerfMm: number;
}

/** What one mitre cut takes along the strip: κ = k / cos θ. */
export const kerfAlong = ({ kerfMm, cutAngle }: StripSetting): number => kerfMm / Math.cos(cutAngle);

/** The slanted ends of a run of pieces stand out by w·tan θ together. */
export const wedgeAlong = ({ widthMm, cutAngle }: StripSetting): number => widthMm * Math.tan(cutAngle);

/** Mean length of a piece, (Lo + Li)/2 = Lo − w·tan θ: what it takes of a strip that is turned over between cuts. */
export const meanLength = (setting: StripSetting, longEdgeMm: number): number =>
  longEdgeMm - wedgeAlong(setting);

/**
 * Length of strip that pieces of the given total mean length take: `Σ mean + (n + 1)κ + w·tan θ`. Both ends are cut with
 * a whole kerf, the first to make the mitre and the last to part from the tail. 0 for no pieces.
 */
export const lengthFor = (setting: StripSetting, count: number, totalMean: number): number =>
  count === 0 ? 0 : totalMean + (count + 1) * kerfAlong(setting) + wedgeAlong(setting);
