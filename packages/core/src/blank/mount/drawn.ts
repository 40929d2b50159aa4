import type { Vessel } from '../../form/vessel.js';
import type { StepPicture } from '../../making/picture.js';
import { say, sayMm } from '../../measure/said.js';
import type { Point } from '../../ring/plane.js';
import { woodOutline } from '../../surface/drawing.js';
import { leanOf } from './holes.js';
import type { MountParams } from './params.js';
import type { MountSize } from './size.js';

/** Corners that a circle is drawn with. */
const ROUND = 36;

export const oval = ({ x, y }: Point, across: number, up: number): Point[] =>
  Array.from({ length: ROUND }, (_, i) => {
    const angle = (2 * Math.PI * i) / ROUND;
    return { x: x + across * Math.cos(angle), y: y + up * Math.sin(angle) };
  });

export const box = (left: number, low: number, right: number, high: number): Point[] => [
  { x: left, y: low },
  { x: right, y: low },
  { x: right, y: high },
  { x: left, y: high },
];

export const SIDES = [1, -1] as const;

/** Holes in the top of the base, its middle at 0, the saw cut upright. */
export const holesIn = (given: MountParams, { row, baseMm }: MountSize): { at: Point; outline: Point[] }[] =>
  SIDES.flatMap((side) =>
    row.map((y) => {
      const at = { x: side * baseMm, y };
      return { at, outline: oval(at, given.rodMm / 2 / Math.cos(leanOf(given)), given.rodMm / 2) };
    }),
  );

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
  const block = box(-base.widthMm / 2, -freeMm - base.heightMm, base.widthMm / 2, -freeMm);
  const [right, high] = [base.widthMm / 2, vessel.heightMm];
  const holes = holesIn(given, size);
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
          outline: box(-right, -base.lengthMm / 2, right, base.lengthMm / 2),
          place: 0,
          holes: holes.map(({ outline }) => outline),
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
