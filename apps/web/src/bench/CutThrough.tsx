import {
  cutRows,
  edit,
  insideLine,
  mm,
  outsideLine,
  type Prepared,
  type PreparedRing,
  type Project,
  type Species,
  woodOutline,
} from '@fellside/core';
import { type MouseEvent, memo, useMemo } from 'react';
import { editPiece } from '../store/edits.js';
import { projectOf, unitsOf } from '../store/selectors.js';
import { useActions, useApp } from '../store/store.js';
import { woodFill } from '../ui/WoodPatterns.js';
import { linePath, type Place } from './path.js';
import { shopLength } from './steps.js';

interface CutThroughProps {
  readonly prepared: Prepared;
  readonly palette: ReadonlyMap<string, Species>;
  readonly at: Place;
  readonly view: number;
  /** Blanks drawn fainter, so that a picture underneath can be seen. */
  readonly faint: boolean;
}

/** Left of the axis: the blank as sawn rings, pale, and in it the wall that is left, between outer and inner curve. */
export const CutThrough = memo(function CutThrough({ prepared, palette, at, view, faint }: CutThroughProps) {
  const dispatch = useActions();
  const units = useApp(unitsOf);
  const { vessel, rings } = prepared;
  const lines = useMemo(
    () => ({ outside: outsideLine(vessel), inside: insideLine(vessel), wood: woodOutline(vessel) }),
    [vessel],
  );
  const outside = linePath(lines.outside, at);
  const inside = linePath(lines.inside, at);
  const add = (event: MouseEvent<SVGPathElement>) => {
    const box = event.currentTarget.ownerSVGElement!.getBoundingClientRect();
    const perMm = at.y(0) - at.y(1);
    const heightMm = shopLength((at.y(0) - (event.clientY - box.top)) / perMm, units);
    const radiusMm = shopLength((at.x(0) - (event.clientX - box.left)) / perMm, units);
    dispatch(editPiece(edit.addPoint({ heightMm, radiusMm: mm(radiusMm), kind: 'smooth' })));
  };
  const blanks = rings.map((ring) => <Blank key={ring.ring.id} {...{ ring, palette, at, view }} />);
  const { allowances } = useApp(projectOf);
  return (
    <g>
      <clipPath id="wall-left">
        <path d={`${linePath(lines.wood, at)}Z`} />
      </clipPath>
      <g opacity={faint ? 0.18 : 0.38}>{blanks}</g>
      <g clipPath="url(#wall-left)" opacity={faint ? 0.55 : 1}>
        {blanks}
      </g>
      <path d={envelope(rings, allowances, at)} fill="none" stroke="var(--color-ink)" strokeDasharray="1 3" />
      <path d={inside} fill="none" stroke="var(--color-teal)" strokeWidth="1.5" strokeDasharray="5 3" />
      <path d={outside} fill="none" stroke="var(--color-teal)" strokeWidth="2" />
      <path
        d={outside}
        fill="none"
        stroke="transparent"
        strokeWidth="12"
        data-curve="outside"
        onDoubleClick={add}
      />
    </g>
  );
});

/** What rings of a fixed size can give, less the allowances: the lines that outside and inside have to keep between. */
function envelope(rings: readonly PreparedRing[], allowances: Project['allowances'], at: Place): string {
  return rings
    .filter(({ ring, made }) => made.ok && (ring.fixed || ring.measured?.diameterMm !== undefined))
    .map(({ course, made }) => {
      if (!made.ok) return '';
      const { outerMm, innerMm } = made.value.gives;
      const [low, high] = [at.y(course.bottomMm), at.y(course.topMm)];
      const upright = (radius: number) => `M${at.x(radius)} ${low}V${high}`;
      const hole = innerMm > 0 ? upright(innerMm + allowances.insideMm) : '';
      return upright(outerMm - allowances.outsideMm) + hole;
    })
    .join('');
}

/** One ring's blank where the cut meets it, a quarter turn round from the line of sight: what lies there, inside out. */
function Blank({
  ring: { ring, course, made, turn },
  palette,
  at,
  view,
}: { ring: PreparedRing } & Omit<CutThroughProps, 'prepared' | 'faint'>) {
  if (!made.ok) return null;
  const { lean, heightMm } = made.value;
  const rows = cutRows(made.value, turn, view - Math.PI / 2);
  const whole = rows.length === 1;
  const height = (z: number) => at.y(course.bottomMm + z);
  const quad = (fromMm: number, toMm: number, inner: number, outer: number) => {
    const [low, high] = [lean * (fromMm - heightMm / 2), lean * (toMm - heightMm / 2)];
    return `M${at.x(outer + low)} ${height(fromMm)}L${at.x(outer + high)} ${height(toMm)}H${at.x(inner + high)}L${at.x(inner + low)} ${height(fromMm)}Z`;
  };
  return rows.flatMap(({ fromMm, toMm, parts }) =>
    parts.map(({ place, innerMm, outerMm }) => {
      const fill = place === null ? 'none' : woodFill(palette.get(ring.woods[place]!), 'bench');
      return (
        <path
          key={`${fromMm} ${innerMm}`}
          d={quad(fromMm, toMm, innerMm, outerMm)}
          fill={fill}
          stroke={whole || place === null ? '#1d2527' : fill}
          strokeOpacity={whole || place === null ? 0.35 : 1}
          strokeWidth={whole ? 0.75 : 0.4}
          strokeDasharray={place === null ? '2 3' : undefined}
        />
      );
    }),
  );
}
