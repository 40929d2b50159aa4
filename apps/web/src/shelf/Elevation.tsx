import { extremes, outsideLine, outsidePatches, type Prepared, type Species } from '@fellside/core';
import { stripPath } from '../bench/path.js';
import { WoodPatterns, woodFill } from '../ui/WoodPatterns.js';

const VIEW = 0.35;

/** The whole outside of a piece from the front: the right-hand quarter, and the left-hand one as its own. */
export function Elevation({
  id,
  prepared: { vessel, rings },
  palette,
  scale,
}: {
  id: string;
  prepared: Prepared;
  palette: ReadonlyMap<string, Species>;
  scale: number;
}) {
  const half = extremes(vessel.outside, 0, vessel.heightMm).most * scale;
  const y = (height: number) => (vessel.heightMm - height) * scale;
  const sides = [
    { view: VIEW, at: { x: (r: number) => half + r * scale, y } },
    { view: VIEW - Math.PI / 2, at: { x: (r: number) => half - r * scale, y } },
  ];
  return (
    <svg width={2 * half} height={vessel.heightMm * scale} aria-hidden>
      <WoodPatterns woods={palette.values()} hatched={false} prefix={id} />
      {rings.flatMap(({ ring, course, made, turn }) => {
        if (!made.ok) return [];
        const top = Math.min(course.topMm, vessel.heightMm);
        const line = outsideLine(vessel, course.bottomMm, top);
        const radius = extremes(vessel.outside, course.bottomMm, top).most;
        return sides.flatMap(({ view, at }, side) =>
          outsidePatches(made.value, turn, radius, view).map(({ place, near, far }) => {
            // Left of the axis a quarter turn back: what is nearest the middle there is farthest along.
            const mirrored = (share: number) => Math.sqrt(Math.max(0, 1 - share * share));
            const [a, b] = side === 0 ? [near, far] : [mirrored(far), mirrored(near)];
            return (
              <path
                key={`${ring.id} ${side} ${place} ${near}`}
                d={stripPath(line, at, a, b)}
                fill={woodFill(palette.get(ring.woods[place]!), id)}
                stroke="#1d2527"
                strokeOpacity="0.25"
                strokeWidth="0.5"
              />
            );
          }),
        );
      })}
      {sides.map(({ at }) => (
        <path key={at.x(1)} d={stripPath(outsideLine(vessel), at, 0.72, 1)} fill="#000" fillOpacity="0.1" />
      ))}
    </svg>
  );
}
