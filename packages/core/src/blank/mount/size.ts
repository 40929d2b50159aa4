import { radiusAt } from '../../form/curve.js';
import type { Vessel } from '../../form/vessel.js';
import { type Mm, mm } from '../../measure/quantity.js';
import { done, type Result, refuse } from '../../measure/reason.js';
import { say, sayMm } from '../../measure/said.js';
import { woodOutline } from '../../surface/drawing.js';
import { centreHeight, deepestHole, halfWood, leanOf, leastWood, rowOf, widestRow } from './holes.js';
import type { MountParams } from './params.js';

/** Where everything of a mounted pair of halves is, mm; the middle of the base is 0, its long side along the saw cut. */
export interface MountSize {
  /** Of the rods of a half, along the saw cut. */
  readonly row: readonly number[];
  readonly spacingMm: Mm;
  /** From the middle line, square to the saw cut: holes in the feet, on the base, and where they end in it. */
  readonly footMm: Mm;
  readonly baseMm: Mm;
  readonly endMm: Mm;
  readonly rodLengthMm: Mm;
  /** How deep holes in the halves may be, and the wood that stays round them as they are. */
  readonly deepestMm: Mm;
  readonly woodMm: Mm;
  readonly underMm: Mm;
  /** How far the whole may lean before it falls, radians: over its narrower side, without the weight of the base. */
  readonly tips: number;
}

/** Works out where rods go; refuses what would break out, meet, or go through the base. */
export function sizeOf(given: MountParams, vessel: Vessel): Result<MountSize> {
  const { rods, rodMm, marginMm, base, drilledMm, insetMm, apartMm, freeMm } = given;
  const outline = woodOutline(vessel);
  const half = halfWood(outline, given.kerfMm / 2, marginMm + rodMm);
  const fits = given.spacingMm ?? widestRow(half, given, radiusAt(vessel.outside, 0), drilledMm);
  const spacing = fits ?? 0;
  const row = rowOf(rods, spacing);
  const deepest = (most?: number) =>
    Math.min(...row.map((aside) => deepestHole(half, given, Math.abs(aside), marginMm, most)));
  const deepestMm = fits === null ? 0 : deepest();
  if (fits === null || deepest(drilledMm) < drilledMm)
    return refuse(
      'rods-break-out',
      'drilledMm',
      deepestMm > 0
        ? say`Rods of ${sayMm(rodMm)}, ${sayMm(insetMm)} in from the sawn face, leave ${sayMm(marginMm)} of wood round them down to a depth of ${sayMm(deepestMm)}. Drill less deep, or take thinner rods.`
        : say`Rods of ${sayMm(rodMm)}, ${sayMm(insetMm)} in from the sawn face, do not have ${sayMm(marginMm)} of wood round them where they enter the foot. Take thinner rods, fewer, or another place.`,
      { most: deepestMm },
    );
  if (rods > 1 && spacing < rodMm + marginMm)
    return refuse(
      'rods-too-close',
      'spacingMm',
      say`Rods are ${sayMm(spacing)} apart; with ${sayMm(marginMm)} of wood between them it is ${sayMm(rodMm + marginMm)} at least.`,
      { least: rodMm + marginMm },
    );
  const lean = leanOf(given);
  const foot = apartMm / 2 + insetMm;
  const onBase = foot - freeMm * Math.tan(lean);
  const end = onBase - base.drilledMm * Math.sin(lean);
  const ovalMm = rodMm / 2 / Math.cos(lean);
  if (Math.min(onBase, end) - ovalMm < marginMm / 2)
    return refuse(
      'rods-meet',
      'apartMm',
      say`In the base the rods of one half come within ${sayMm(Math.min(onBase, end))} of its middle line, and so do those of the other; ${sayMm(ovalMm + marginMm / 2)} keeps wood between them. Put the halves farther apart, or lean the rods less.`,
    );
  const [long, wide] = [
    2 * (Math.max(...row.map(Math.abs)) + rodMm / 2 + marginMm),
    2 * (Math.max(onBase, end) + ovalMm + marginMm),
  ];
  const under = base.heightMm - base.drilledMm * Math.cos(lean) - (rodMm / 2) * Math.abs(Math.sin(lean));
  if (base.lengthMm < long || base.widthMm < wide || under < marginMm)
    return refuse(
      'rods-through-base',
      'base',
      say`The base is ${sayMm(base.lengthMm)} × ${sayMm(base.widthMm)} × ${sayMm(base.heightMm)}; with ${sayMm(marginMm)} of wood round its holes it is ${sayMm(long)} × ${sayMm(wide)} × ${sayMm(base.heightMm - under + marginMm)} at least.`,
      { length: long, width: wide, height: base.heightMm - under + marginMm },
    );
  const whole = halfWood(outline, given.kerfMm / 2);
  const high = base.heightMm + freeMm + centreHeight(outline);
  return done({
    row,
    spacingMm: mm(spacing),
    footMm: mm(foot),
    baseMm: mm(onBase),
    endMm: mm(end),
    rodLengthMm: mm(drilledMm + freeMm / Math.cos(lean) + base.drilledMm),
    deepestMm: mm(deepestMm),
    woodMm: mm(Math.min(...row.map((aside) => leastWood(whole, given, Math.abs(aside), drilledMm)))),
    underMm: mm(under),
    tips: Math.atan2(Math.min(base.lengthMm, base.widthMm) / 2, high),
  });
}
