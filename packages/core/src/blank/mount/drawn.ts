import type { FlatDrawing } from '../../exchange/drawing.js';
import { radiusAt } from '../../form/curve.js';
import { recessAt } from '../../form/recess.js';
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

const oval = ({ x, y }: Point, across: number, up: number): Point[] =>
  Array.from({ length: ROUND }, (_, i) => {
    const angle = (2 * Math.PI * i) / ROUND;
    return { x: x + across * Math.cos(angle), y: y + up * Math.sin(angle) };
  });

const box = (left: number, low: number, right: number, high: number): Point[] => [
  { x: left, y: low },
  { x: right, y: low },
  { x: right, y: high },
  { x: left, y: high },
];

const SIDES = [1, -1] as const;

/** Holes in the top of the base, its middle at 0, the saw cut upright. */
const holesIn = (given: MountParams, { row, baseMm }: MountSize): { at: Point; outline: Point[] }[] =>
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

/** Left free round the drawings, and between base and foot; arms of a cross, mm. */
const FREE = 12;
const ARM = 4;

/** Base and foot from where they are drilled, at full size: outlines, saw cut, a cross for each hole. The base is seen from above, the foot from below. */
export function mountTemplate(given: MountParams, size: MountSize, vessel: Vessel): FlatDrawing {
  const { base, kerfMm, insetMm } = given;
  const foot = radiusAt(vessel.outside, 0);
  const recess = recessAt(vessel.recess, 0);
  const tall = Math.max(base.lengthMm, 2 * foot);
  const [baseAt, footAt] = [
    { x: FREE + base.widthMm / 2, y: FREE + tall / 2 },
    { x: 2 * FREE + base.widthMm + foot, y: FREE + tall / 2 },
  ];
  const put = (middle: Point) => (p: Point) => ({ x: middle.x + p.x, y: middle.y + p.y });
  const line = (layer: string, title: string, points: Point[], closed = true) => ({
    layer,
    title,
    points,
    closed,
  });
  const crossed = (name: string, middle: Point, at: Point, outline: Point[]) => {
    const on = put(middle);
    return [
      line('Holes', name, outline.map(on)),
      line(
        'Crosses',
        name,
        [
          { x: at.x - ARM, y: at.y },
          { x: at.x + ARM, y: at.y },
        ].map(on),
        false,
      ),
      line(
        'Crosses',
        name,
        [
          { x: at.x, y: at.y - ARM },
          { x: at.x, y: at.y + ARM },
        ].map(on),
        false,
      ),
    ];
  };
  const across = given.rodMm / 2 / Math.cos(leanOf(given));
  const inFoot = SIDES.flatMap((side) => size.row.map((y) => ({ x: side * (kerfMm / 2 + insetMm), y })));
  return {
    widthMm: 3 * FREE + base.widthMm + 2 * foot,
    heightMm: tall + 3 * FREE,
    lines: [
      line(
        'Outline',
        'Base',
        box(-base.widthMm / 2, -base.lengthMm / 2, base.widthMm / 2, base.lengthMm / 2).map(put(baseAt)),
      ),
      line(
        'Middle',
        'Base',
        [
          { x: 0, y: -base.lengthMm / 2 },
          { x: 0, y: base.lengthMm / 2 },
        ].map(put(baseAt)),
        false,
      ),
      ...holesIn(given, size).flatMap(({ at, outline }) => crossed('Base', baseAt, at, outline)),
      line('Outline', 'Foot', oval({ x: 0, y: 0 }, foot, foot).map(put(footAt))),
      ...(recess > 0
        ? [line('Outline', 'Recess', oval({ x: 0, y: 0 }, recess, recess).map(put(footAt)))]
        : []),
      ...SIDES.map((side) =>
        line(
          'Saw',
          'Saw cut',
          [
            { x: (side * kerfMm) / 2, y: -foot },
            { x: (side * kerfMm) / 2, y: foot },
          ].map(put(footAt)),
          false,
        ),
      ),
      ...inFoot.flatMap((at) => crossed('Foot', footAt, at, oval(at, across, given.rodMm / 2))),
    ],
    texts: [
      { layer: 'Words', at: { x: FREE, y: tall + 1.5 * FREE }, heightMm: 4, words: 'Base from above' },
      {
        layer: 'Words',
        at: { x: 2 * FREE + base.widthMm, y: tall + 1.5 * FREE },
        heightMm: 4,
        words: 'Foot from below',
      },
    ],
  };
}
