import { brimOf, formatLength, mm, type Vessel } from '@fellside/core';
import { shopOf, unitsOf } from '../store/house.js';
import { useApp } from '../store/store.js';
import type { Place } from '../ui/path.js';

/** What the lathe can take, drawn as a frame: swing and bed as upright lines, reach as a level one, jaws below the foot. */
export function LatheFrame({ vessel, at, top }: { vessel: Vessel; at: Place; top: number }) {
  const { swingRadiusMm, bedDistanceMm, jawLeastMm, jawMostMm, reachMm } = useApp(shopOf);
  const units = useApp(unitsOf);
  const bottom = at.y(0);
  const deepest = brimOf(vessel) - reachMm;
  return (
    <g aria-hidden className="text-[10px]" fill="var(--color-quiet)" stroke="none">
      {swingRadiusMm !== bedDistanceMm && (
        <Limit
          x={at.x(swingRadiusMm)}
          {...{ top, bottom }}
          label={`swing ${formatLength(swingRadiusMm, units)}`}
        />
      )}
      <Limit
        x={at.x(bedDistanceMm)}
        {...{ top, bottom }}
        label={`bed ${formatLength(bedDistanceMm, units)}`}
      />
      {vessel.inside && deepest > 0 && (
        <>
          <line x1={at.x(30)} x2={at.x(0)} y1={at.y(deepest)} y2={at.y(deepest)} className="limit" />
          <text x={at.x(0) - 4} y={at.y(deepest) - 3} textAnchor="end">
            reach {formatLength(reachMm, units)}
          </text>
        </>
      )}
      <path
        d={`M${at.x(jawMostMm / 2)} ${bottom + 1}v4H${at.x(jawLeastMm / 2)}v-4`}
        fill="none"
        className="limit"
        strokeDasharray="none"
      />
      <title>
        Jaws {formatLength(mm(jawLeastMm), units)} to {formatLength(mm(jawMostMm), units)}
      </title>
    </g>
  );
}

function Limit({ x, top, bottom, label }: { x: number; top: number; bottom: number; label: string }) {
  if (x < 2) return null;
  return (
    <>
      <line x1={x} x2={x} y1={top} y2={bottom} className="limit" />
      <text x={x + 3} y={bottom - 4} transform={`rotate(-90 ${x + 3} ${bottom - 4})`} dy="8">
        {label}
      </text>
    </>
  );
}
