import { radiusAt } from '../../form/curve.js';
import { recessAt } from '../../form/recess.js';
import type { Vessel } from '../../form/vessel.js';
import { INCH, type UnitSystem } from '../../measure/format.js';
import { mm } from '../../measure/quantity.js';
import { woodOutline } from '../../surface/drawing.js';
import { deepestHole, halfWood } from './holes.js';
import type { MountParams } from './params.js';

/** Saws, rods and bases as they usually are, mm, and what sizes that follow the form are rounded to. */
const USUAL = {
  mm: {
    kerf: 1.5,
    rod: 6,
    margin: 3,
    free: 25,
    apart: 30,
    height: 30,
    drilled: 18,
    deep: 25,
    grid: 1,
    foot: 5,
  },
  inch: {
    kerf: INCH / 16,
    rod: INCH / 4,
    margin: INCH / 8,
    free: INCH,
    apart: 1.25 * INCH,
    height: 1.25 * INCH,
    drilled: 0.75 * INCH,
    deep: INCH,
    grid: INCH / 16,
    foot: INCH / 4,
  },
} as const;

/** Thinner rods where the foot gives no hold otherwise, as shares of the usual ones; and places in it, as shares of the way out. */
const THINNER = [1, 1 / 2, 1 / 4];
const PLACES = [0.2, 0.35, 0.5, 0.65, 0.8];
/** Room round the halves on the base, as a share of the foot. */
const ROOM = 0.25;

/** Halves on rods as they are begun for a form: two upright rods to a half, where they can be drilled deepest. */
export function beginMount(vessel: Vessel, units: UnitSystem = 'mm'): MountParams {
  const usual = USUAL[units === 'mm' ? 'mm' : 'inch'];
  const round = (value: number, grid: number = usual.grid) =>
    mm(Math.max(grid, Math.round(value / grid) * grid));
  const foot = radiusAt(vessel.outside, 0);
  const least = recessAt(vessel.recess, 0);
  const half = halfWood(woodOutline(vessel), usual.kerf / 2, usual.margin + usual.rod);
  const tried = THINNER.flatMap((share) =>
    PLACES.map((place) => {
      const [rodMm, marginMm] = [usual.rod * share, usual.margin * share];
      const insetMm = round(least + place * (foot - least) - usual.kerf / 2);
      const deep = deepestHole(half, { rodMm, leanDeg: 0, insetMm }, 0, marginMm);
      return { rodMm: mm(rodMm), marginMm: mm(marginMm), insetMm, deep };
    }),
  );
  const { deep, ...rods } =
    tried.find((each) => each.deep >= usual.deep) ?? tried.reduce((a, b) => (b.deep > a.deep ? b : a));
  return {
    kind: 'mount',
    sawnDeg: 0,
    kerfMm: mm(usual.kerf),
    rods: 2,
    ...rods,
    leanDeg: 0,
    drilledMm: round(Math.min(usual.deep, Math.floor((0.8 * deep) / usual.grid) * usual.grid)),
    apartMm: mm(usual.apart),
    freeMm: mm(usual.free),
    base: {
      lengthMm: round(2 * foot * (1 + ROOM), usual.foot),
      widthMm: round(2 * foot * (1 + ROOM) + usual.apart, usual.foot),
      heightMm: mm(usual.height),
      drilledMm: mm(usual.drilled),
    },
  };
}
