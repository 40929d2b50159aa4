import {
  insideLine,
  outsideLine,
  type Prepared,
  type PreparedRing,
  placeToward,
  type Species,
} from '@fellside/core';
import { useMemo } from 'react';
import { woodFill } from '../ui/WoodPatterns.js';
import { linePath, type Place } from './path.js';

/** Left of the axis: the blank as sawn rings, pale, and in it the wall that is left, between outer and inner curve. */
export function CutThrough({ prepared, palette, at, view }: CutThroughProps) {
  const { vessel, rings } = prepared;
  const lines = useMemo(() => ({ outside: outsideLine(vessel), inside: insideLine(vessel) }), [vessel]);
  const outside = linePath(lines.outside, at);
  const inside = linePath(lines.inside, at);
  const top = at.y(vessel.heightMm);
  const wall =
    lines.inside.length > 0
      ? `${outside}${linePath([...lines.inside].reverse(), at).replace('M', 'L')}L${at.x(0)} ${at.y(0)}Z`
      : `${outside}L${at.x(0)} ${top}L${at.x(0)} ${at.y(0)}Z`;
  return (
    <g>
      <clipPath id="wall-left">
        <path d={wall} />
      </clipPath>
      <g opacity="0.38">
        {rings.map((ring) => (
          <Blank key={ring.ring.id} ring={ring} palette={palette} at={at} view={view} />
        ))}
      </g>
      <g clipPath="url(#wall-left)">
        {rings.map((ring) => (
          <Blank key={ring.ring.id} ring={ring} palette={palette} at={at} view={view} />
        ))}
      </g>
      <path d={outside} fill="none" stroke="var(--color-teal)" strokeWidth="2" />
      <path d={inside} fill="none" stroke="var(--color-teal)" strokeWidth="1.5" strokeDasharray="5 3" />
    </g>
  );
}

interface CutThroughProps {
  readonly prepared: Prepared;
  readonly palette: ReadonlyMap<string, Species>;
  readonly at: Place;
  readonly view: number;
}

/** One ring's blank where the cut meets it: a quarter turn round from the line of sight. */
function Blank({
  ring: { ring, course, made, turn },
  palette,
  at,
  view,
}: { ring: PreparedRing } & Omit<CutThroughProps, 'prepared'>) {
  if (!made.ok) return null;
  const { outerMm, innerMm } = made.value.gives;
  const place = placeToward(made.value, turn, (outerMm + innerMm) / 2, view - Math.PI / 2);
  const wood = palette.get(ring.woods[place ?? 0]!);
  return (
    <rect
      x={at.x(outerMm)}
      y={at.y(course.topMm)}
      width={at.x(innerMm) - at.x(outerMm)}
      height={at.y(course.bottomMm) - at.y(course.topMm)}
      fill={woodFill(wood, 'bench')}
      stroke="var(--color-ink)"
      strokeOpacity="0.35"
      strokeWidth="0.75"
    />
  );
}
