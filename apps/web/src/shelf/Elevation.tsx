import {
  extremes,
  outsideLine,
  outsidePatches,
  type Prepared,
  type SectionPoint,
  type Species,
} from '@fellside/core';
import { frontPath, type Place } from '../bench/path.js';
import { woodPaths } from '../bench/woodPaths.js';
import { Shade } from '../ui/Shade.js';
import { WoodPatterns, woodFill } from '../ui/WoodPatterns.js';

/** Turned a little, so that no joint stands on the axis (rad). */
const VIEW = 0.35;

interface ElevationProps {
  /** Keeps the wood patterns of several drawings on a page apart. */
  readonly id: string;
  readonly prepared: Prepared;
  readonly palette: ReadonlyMap<string, Species>;
  /** Px a mm. */
  readonly scale: number;
}

/** The whole outside of a piece, seen from the front. */
export function Elevation({ id, prepared: { vessel, rings }, palette, scale }: ElevationProps) {
  const half = extremes(vessel.outside, 0, vessel.heightMm).most * scale;
  const y = (height: number) => (vessel.heightMm - height) * scale;
  const right = { x: (r: number) => half + r * scale, y };
  const left = { x: (r: number) => half - r * scale, y };
  const outline = outsideLine(vessel);
  return (
    <svg width={2 * half} height={vessel.heightMm * scale} aria-hidden>
      <WoodPatterns woods={palette.values()} hatched={false} prefix={id} />
      {rings.flatMap(({ ring, course, made, turn }) => {
        if (!made.ok) return [];
        const top = Math.min(course.topMm, vessel.heightMm);
        const line = outsideLine(vessel, course.bottomMm, top);
        const standing = { made: made.value, turn, bottomMm: course.bottomMm };
        const patches = outsidePatches(standing, vessel.outside, line, VIEW, 'front');
        return [
          ...woodPaths(patches, ring.woods, ({ outline }) => frontPath(outline, right, 'Z')).map(
            ([key, d]) => <path key={`${ring.id} ${key}`} d={d} fill={woodFill(palette.get(key), id)} />,
          ),
          <path
            key={`${ring.id} joints`}
            d={patches.map(({ joint }) => frontPath(joint, right)).join('') + edgePath(line, right)}
            fill="none"
            stroke="#1d2527"
            strokeOpacity="0.25"
            strokeWidth="0.5"
          />,
        ];
      })}
      <Shade line={outline} at={right} />
      <Shade line={outline} at={left} />
    </svg>
  );
}

/** The edge between a ring and the one below it. */
const edgePath = ([foot]: readonly SectionPoint[], at: Place): string =>
  frontPath(
    [-1, 1].map((side) => ({ x: side * foot!.r, z: foot!.z })),
    at,
  );
