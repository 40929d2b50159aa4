import { radiusAt } from '../../form/curve.js';
import { recessAt } from '../../form/recess.js';
import type { Vessel } from '../../form/vessel.js';
import { boxOutline, type FullSize, type StepPicture } from '../../making/picture.js';
import { circle } from '../../making/plug.js';
import { say, sayMm } from '../../measure/said.js';
import type { Point } from '../../ring/plane.js';
import { woodOutline } from '../../surface/drawing.js';
import { leanOf } from './holes.js';
import type { MountParams } from './params.js';
import type { MountSize } from './size.js';

/** The mouth of a hole that is drilled at a lean: longer across than along the row. */
const mouthOf = ({ x, y }: Point, given: MountParams): Point[] =>
  circle(given.rodMm / 2).map((p) => ({ x: x + p.x / Math.cos(leanOf(given)), y: y + p.y }));

const SIDES = [1, -1] as const;

/** Where rods of both halves are, so far from the middle line, which runs upright. */
const rodsAt = (fromMiddle: number, { row }: MountSize): Point[] =>
  SIDES.flatMap((side) => row.map((y) => ({ x: side * fromMiddle, y })));

/** The mounted halves cut through in the plane of their axis, and the base from above. */
export function mountPictures(given: MountParams, size: MountSize, vessel: Vessel): StepPicture[] {
  const { base, freeMm, apartMm, kerfMm, drilledMm, rodMm } = given;
  const lean = leanOf(given);
  const section = woodOutline(vessel).map(({ r, z }) => ({ x: r, y: z }));
  // A half stands with its sawn face where the piece had the saw cut.
  const halves = SIDES.map((side) =>
    section.map(({ x, y }) => ({ x: side * (Math.max(x, kerfMm / 2) - kerfMm / 2 + apartMm / 2), y })),
  );
  const rods = SIDES.map((side) => {
    const at = (x: number, y: number, across: number): Point => ({
      x: side * (x + (across * rodMm) / 2 / Math.cos(lean)),
      y,
    });
    const [low, high] = [-freeMm - base.drilledMm * Math.cos(lean), drilledMm * Math.cos(lean)];
    const [bottom, top] = [size.endMm, size.footMm + drilledMm * Math.sin(lean)];
    return [at(bottom, low, -1), at(bottom, low, 1), at(top, high, 1), at(top, high, -1)];
  });
  const block = boxOutline(-base.widthMm / 2, -freeMm - base.heightMm, base.widthMm / 2, -freeMm);
  const [right, high] = [base.widthMm / 2, vessel.heightMm];
  return [
    {
      step: 'mount',
      title: 'Halves on their rods',
      says: say`Cut through square to the saw cut: each half ${sayMm(freeMm)} above the base, ${sayMm(apartMm)} between their faces.`,
      parts: [
        { outline: block, place: 0 },
        ...halves.map((outline) => ({ outline, place: null })),
        ...rods.map((outline) => ({ outline, place: null })),
      ],
      lines: [
        { from: { x: -right, y: -freeMm }, to: { x: right, y: -freeMm }, is: 'edge' },
        { from: { x: 0, y: -freeMm }, to: { x: 0, y: high }, is: 'trim' },
      ],
      sizes: [{ from: { x: -right, y: block[0]!.y }, to: { x: right, y: block[0]!.y }, mm: base.widthMm }],
    },
    {
      step: 'base-holes',
      title: 'Base from above',
      says: say`${2 * given.rods} holes, their middles ${sayMm(size.baseMm)} from the line along its middle${given.rods > 1 ? say` and ${sayMm(size.spacingMm)} apart` : ''}.`,
      parts: [
        {
          outline: boxOutline(-right, -base.lengthMm / 2, right, base.lengthMm / 2),
          place: 0,
          holes: rodsAt(size.baseMm, size).map((at) => mouthOf(at, given)),
        },
      ],
      lines: [
        { from: { x: 0, y: -base.lengthMm / 2 }, to: { x: 0, y: base.lengthMm / 2 }, is: 'trim' },
        { from: { x: -right, y: 0 }, to: { x: right, y: 0 }, is: 'trim' },
      ],
      sizes: [
        {
          from: { x: -right, y: -base.lengthMm / 2 },
          to: { x: right, y: -base.lengthMm / 2 },
          mm: base.widthMm,
        },
        {
          from: { x: right, y: -base.lengthMm / 2 },
          to: { x: right, y: base.lengthMm / 2 },
          mm: base.lengthMm,
        },
      ],
    },
  ];
}

/** Arms of a cross, mm. */
const ARM = 4;

/** Base and foot as they are drilled, at full size: outlines, saw cut, a cross for each hole. The base is seen from above, the foot from below. */
export function mountFullSize(given: MountParams, size: MountSize, vessel: Vessel): FullSize[] {
  const { base, kerfMm, insetMm } = given;
  const foot = radiusAt(vessel.outside, 0);
  const recess = recessAt(vessel.recess, 0);
  const closed = (is: FullSize['lines'][number]['is'], points: readonly Point[]) => ({
    is,
    points,
    closed: true,
  });
  const line = (is: FullSize['lines'][number]['is'], from: Point, to: Point) => ({
    is,
    points: [from, to],
    closed: false,
  });
  const upright = (is: 'middle' | 'saw', x: number, reach: number) =>
    line(is, { x, y: -reach }, { x, y: reach });
  const hole = (at: Point) => [
    closed('hole', mouthOf(at, given)),
    line('cross', { x: at.x - ARM, y: at.y }, { x: at.x + ARM, y: at.y }),
    line('cross', { x: at.x, y: at.y - ARM }, { x: at.x, y: at.y + ARM }),
  ];
  const [wide, long] = [base.widthMm / 2, base.lengthMm / 2];
  return [
    {
      title: 'Base from above',
      lines: [
        closed('outline', boxOutline(-wide, -long, wide, long)),
        upright('middle', 0, long),
        ...rodsAt(size.baseMm, size).flatMap(hole),
      ],
    },
    {
      title: 'Foot from below',
      lines: [
        closed('outline', circle(foot)),
        ...(recess > 0 ? [closed('outline', circle(recess))] : []),
        ...SIDES.map((side) => upright('saw', (side * kerfMm) / 2, foot)),
        ...rodsAt(kerfMm / 2 + insetMm, size).flatMap(hole),
      ],
    },
  ];
}
