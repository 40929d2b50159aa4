import { box, holesIn, oval, SIDES } from '../blank/mount/drawn.js';
import { leanOf } from '../blank/mount/holes.js';
import type { MountParams } from '../blank/mount/params.js';
import { type MountSize, sizeOf } from '../blank/mount/size.js';
import type { BlankMaking } from '../blank/registry.js';
import { radiusAt } from '../form/curve.js';
import { recessAt } from '../form/recess.js';
import type { Vessel } from '../form/vessel.js';
import type { Point } from '../ring/plane.js';
import type { FlatDrawing } from './drawing.js';

/** What a blank beside a piece of a form is drilled and sawn by, at full size; null where there is nothing. */
export function blankDrawing(making: BlankMaking, vessel: Vessel): FlatDrawing | null {
  if (making.kind !== 'mount') return null;
  const size = sizeOf(making, vessel);
  return size.ok ? mountDrawing(making, size.value, vessel) : null;
}

/** Left free round the drawings, and between base and foot; arms of a cross, mm. */
const FREE = 12;
const ARM = 4;

/** Base and foot from where they are drilled, at full size: outlines, saw cut, a cross for each hole. The base is seen from above, the foot from below. */
function mountDrawing(given: MountParams, size: MountSize, vessel: Vessel): FlatDrawing {
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
