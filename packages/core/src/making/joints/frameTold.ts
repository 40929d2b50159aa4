import { fromDegrees, rad } from '../../measure/quantity.js';
import type { RingNeed } from '../../ring/need.js';
import type { Figure } from '../figures.js';
import { anglesOf, stepBetween } from '../flat/ring.js';
import { dividerMm } from '../halves/params.js';
import { compoundOf } from '../staves/staves.js';
import type { Warning } from '../warnings.js';
import type { Faces, Wedge } from '../wedge.js';
import { gapIn, jointingOf, spacersIn } from './between.js';
import { ovalOf } from './closing.js';
import type { Framing } from './framing.js';
import { holdFigures, holdWarnings } from './hold.js';
import { levelThickness } from './jointed.js';
import { largestShift } from './ring.js';
import { OVAL_NOTICED, ovalWarning, thickWarning } from './told.js';

interface Sized {
  readonly faces: Faces;
  wedge(segment: number): Wedge;
}

/** What the segments and joints of a ring come to. */
export function frameFigures(framing: Framing, { faces, wedge }: Sized, need: RingNeed): Figure[] {
  const { count, parts, lean, between, staves, inHalves } = framing;
  const figures: Figure[] = [];
  if (parts && new Set(parts).size > 1)
    figures.push({
      key: 'step-between-outside-corners',
      value: stepBetween(anglesOf(count, parts), need.outerRadiusMm),
      unit: 'mm',
    });
  const tau = fromDegrees(lean?.tiltDeg ?? 0);
  if (lean) {
    const delta = (need.heightMm / 2) * Math.tan(tau);
    figures.push(
      {
        key: 'joints-move-bottom-to-top',
        value: (2 * delta) / Math.cos(wedge(0).half),
        unit: 'mm',
      },
      {
        key: 'turn-of-a-joint-outside',
        value: rad(2 * Math.asin(Math.min(1, delta / need.outerRadiusMm))),
        unit: 'rad',
      },
    );
  }
  if (staves) {
    const { mitre, bladeTilt } = compoundOf(wedge(0).half, Math.atan(faces.lean));
    figures.push(
      { key: 'blade-tilt', value: bladeTilt, unit: 'rad' },
      { key: 'taper-from-the-grain', value: mitre, unit: 'rad' },
      { key: 'angle-between-faces', value: Math.PI - 2 * bladeTilt, unit: 'rad' },
    );
  }
  if (inHalves?.divider) figures.push({ key: 'divider-as-glued', value: dividerMm(inHalves), unit: 'mm' });
  const gap = gapIn(between);
  if (gap) figures.push(...holdFigures(gap, count, need));
  if (!spacersIn(between)) return figures;
  const { wood, thicknesses } = jointingOf(count, between);
  const wedges = Array.from({ length: count }, (_, i) => wedge(i));
  figures.push({ key: 'pushed-out-by', value: largestShift(wedges), unit: 'mm' });
  if (lean) figures.push({ key: 'spacer-level', value: levelThickness(Math.max(...wood), tau), unit: 'mm' });
  figures.push(...ovalFigures(wedges, faces, ovalOf(thicknesses)));
  return figures;
}

/** How oval it is, and its radii across the flats the short and the long way before turning. */
function ovalFigures(wedges: readonly Wedge[], faces: Faces, oval: number): Figure[] {
  const flats = wedges.map(
    ({ middle, shift }) => faces.outerRadiusMm + shift.x * Math.cos(middle) + shift.y * Math.sin(middle),
  );
  return [
    { key: 'oval-before-turning', value: oval, unit: 'mm' },
    ...(oval > OVAL_NOTICED
      ? ([
          { key: 'outer-radius-the-short-way', value: Math.min(...flats), unit: 'mm' },
          { key: 'outer-radius-the-long-way', value: Math.max(...flats), unit: 'mm' },
        ] as const)
      : []),
  ];
}

/** What is to be looked at in the joints of a ring. */
export function frameWarnings({ count, between }: Framing, need: RingNeed): Warning[] {
  const gap = gapIn(between);
  const hold = gap ? holdWarnings(gap, count, need) : [];
  if (!spacersIn(between)) return hold;
  const { wood, thicknesses } = jointingOf(count, between);
  return [
    ...hold,
    ...thickWarning(wood, need.outerRadiusMm, Math.PI / count),
    ...ovalWarning(ovalOf(thicknesses)),
  ];
}
