import {
  drawnOf,
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
export function Elevation({ id, prepared, palette, scale }: ElevationProps) {
  const { vessel } = prepared;
  const half = extremes(vessel.outside, 0, vessel.heightMm).most * scale;
  const y = (height: number) => (vessel.heightMm - height) * scale;
  const right = { x: (r: number) => half + r * scale, y };
  const left = { x: (r: number) => half - r * scale, y };
  const outline = outsideLine(vessel);
  return (
    <svg width={2 * half} height={vessel.heightMm * scale} aria-hidden>
      <WoodPatterns woods={palette.values()} hatched={false} prefix={id} />
      {drawnOf(prepared).flatMap((drawn) => {
        const { index, woods, fromMm, toMm, cuts } = drawn;
        const line = outsideLine(vessel, fromMm, toMm);
        const patches = outsidePatches(drawn, vessel.outside, line, VIEW, 'front');
        return [
          ...woodPaths(patches, woods, ({ outline }) => frontPath(outline, right, 'Z')).map(([key, d]) => (
            <path key={`${index} ${key}`} d={d} fill={woodFill(palette.get(key), id)} />
          )),
          <path
            key={`${index} joints`}
            d={
              patches.map(({ joint }) => frontPath(joint, right)).join('') +
              (cuts ? '' : edgePath(line, right))
            }
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
