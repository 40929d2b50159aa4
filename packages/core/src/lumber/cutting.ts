import type { Cutting } from '../making/stock.js';

/**
 * The arithmetic of one strip cut into mitred pieces. Lengths run along the strip, in mm; derived in
 * docs/how-it-computes.md, "Strips".
 */
export interface StripSetting {
  readonly widthMm: number;
  readonly thicknessMm: number;
  readonly cutAngle: number;
  readonly bladeTilt: number;
  readonly cutting: Cutting;
  readonly kerfMm: number;
}

/** A strip as far as the shape of its pieces from above goes. */
type Mitred = Pick<StripSetting, 'widthMm' | 'cutAngle'>;

/** What one cut takes along the strip: κ = k / (cos θ · cos τ). */
export const kerfAlong = ({ kerfMm, cutAngle, bladeTilt }: StripSetting): number =>
  kerfMm / (Math.cos(cutAngle) * Math.cos(bladeTilt));

/** The slanted ends of a run of pieces stand out by w·tan θ together. */
export const wedgeAlong = ({ widthMm, cutAngle }: Mitred): number => widthMm * Math.tan(cutAngle);

/** What a tilted blade takes besides, once a strip: h·tan τ / cos θ. */
export const leanAlong = ({ thicknessMm, cutAngle, bladeTilt }: StripSetting): number =>
  (thicknessMm * Math.tan(bladeTilt)) / Math.cos(cutAngle);

/** Mean length of a piece, (Lo + Li)/2 = Lo − w·tan θ: its volume over its section. */
export const meanLength = (setting: Mitred, longEdgeMm: number): number => longEdgeMm - wedgeAlong(setting);

/**
 * What a piece takes of a strip, kerfs not counted: its mean length where long and short edges take turns; its whole
 * long edge (`boardEdgeMm` where it is one layer of a board) where the same edge is always out.
 */
export const pieceAlong = (setting: StripSetting, longEdgeMm: number, boardEdgeMm = longEdgeMm): number =>
  setting.cutting === 'same-edge' ? boardEdgeMm : meanLength(setting, longEdgeMm);

/** Cuts that n pieces take: n + 1 where one cut ends a piece and begins the next; two for each where a wedge falls out. */
export const cutsFor = ({ cutting }: StripSetting, count: number): number =>
  cutting === 'same-edge' ? 2 * count : count + 1;

/**
 * What is lost once a strip besides its cuts: the slanted ends where edges take turns, and the lean of a tilted blade.
 */
export const endsAlong = (setting: StripSetting): number =>
  leanAlong(setting) + (setting.cutting === 'same-edge' ? 0 : wedgeAlong(setting));

/**
 * Length of strip that pieces of the given total length (`pieceAlong`) take, all cuts with a whole kerf:
 * `Σ mean + (n + 1)κ + w·tan θ`, or `n(Lo + 2κ)` with the same edge always out. 0 for no pieces.
 */
export const lengthFor = (setting: StripSetting, count: number, total: number): number =>
  count === 0 ? 0 : total + cutsFor(setting, count) * kerfAlong(setting) + endsAlong(setting);
