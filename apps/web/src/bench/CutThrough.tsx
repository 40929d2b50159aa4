import {
  cutParts,
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
  const [low, high] = [at.y(course.bottomMm), at.y(course.topMm)];
  const spread = (lean * heightMm) / 2;
  const quad = (inner: number, outer: number) =>
    `M${at.x(outer - spread)} ${low}L${at.x(outer + spread)} ${high}H${at.x(inner + spread)}L${at.x(inner - spread)} ${low}Z`;
  return cutParts(made.value, turn, view - Math.PI / 2).map(({ place, innerMm, outerMm }) => (
    <path
      key={innerMm}
      d={quad(innerMm, outerMm)}
      fill={place === null ? 'none' : woodFill(palette.get(ring.woods[place]!), 'bench')}
      stroke="#1d2527"
      strokeOpacity={0.35}
      strokeWidth={0.75}
      strokeDasharray={place === null ? '2 3' : undefined}
    />
  ));
}
