import {
  drawnOf,
  edit,
  inlayCuts,
  insideLine,
  mm,
  outsideLine,
  type Point3,
  type Prepared,
  type PreparedRing,
  type Project,
  regionSection,
  type Species,
  sidesOf,
  woodOutline,
} from '@fellside/core';
import { type MouseEvent, memo, type SVGProps, useMemo } from 'react';
import { editPiece } from '../store/edits.js';
import { projectOf, unitsOf } from '../store/house.js';
import { useActions, useApp } from '../store/store.js';
import { linePath, type Place } from '../ui/path.js';
import { woodFill } from '../ui/WoodPatterns.js';
import { type Alike, blankPaths } from './blanks.js';
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
  const { vessel, turned, rings } = prepared;
  const lines = useMemo(
    () => ({ outside: outsideLine(vessel), inside: insideLine(vessel), wood: woodOutline(turned) }),
    [vessel, turned],
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
  const direction = view - Math.PI / 2;
  const blanks = useMemo(
    () => blanksOf({ prepared, palette, at, direction }),
    [prepared, palette, at, direction],
  );
  const inlaid = useMemo(
    () => inlaidOf({ prepared, palette, at, direction }),
    [prepared, palette, at, direction],
  );
  const allowances = useApp((state) => projectOf(state).allowances);
  return (
    <g>
      <clipPath id="wall-left">
        <path d={`${linePath(lines.wood, at)}Z`} />
      </clipPath>
      <g opacity={faint ? 0.18 : 0.38}>{blanks}</g>
      <g clipPath="url(#wall-left)" opacity={faint ? 0.55 : 1}>
        {blanks}
        {inlaid}
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
    .map(({ stands: course, made }) => {
      if (!made.ok) return '';
      const { outerRadiusMm, innerRadiusMm } = made.value.gives;
      const [low, high] = [at.y(course.bottomMm), at.y(course.topMm)];
      const upright = (radius: number) => `M${at.x(radius)} ${low}V${high}`;
      const hole = innerRadiusMm > 0 ? upright(innerRadiusMm + allowances.insideMm) : '';
      return upright(outerRadiusMm - allowances.outsideMm) + hole;
    })
    .join('');
}

interface BlanksProps extends Pick<CutThroughProps, 'prepared' | 'palette' | 'at'> {
  /** Radians from the index mark: a quarter turn round from the line of sight. */
  readonly direction: number;
}

/** Rings and bands where the cut meets them; where slanted cuts divide them, part by part. Drawn twice, worked out once. */
function blanksOf({ prepared, ...seen }: BlanksProps) {
  const { cuts, rings, bands } = prepared;
  const drawn = drawnOf(prepared);
  if (cuts.length === 0) return alike(blankPaths(drawn, NOT_MOVED, seen));
  return drawn.flatMap((part) => {
    const { index, band, made } = part;
    const reaches = band === undefined ? rings[index]!.reaches : bands[band]!.reaches;
    return reaches.map(({ region, fromMm, toMm }) => {
      const heights = [fromMm - made.cornerMm, toMm + made.cornerMm] as const;
      const outline = regionSection(sidesOf(cuts, region), seen.direction, 2 * made.cornerMm, heights);
      if (outline.length === 0) return null;
      const id = `cut-${index}-${region.above}`;
      return (
        <g key={id} clipPath={`url(#${id})`}>
          <clipPath id={id}>
            <path d={`${linePath(outline, seen.at)}Z`} />
          </clipPath>
          {alike(blankPaths([part], region.shift, seen))}
        </g>
      );
    });
  });
}

const NOT_MOVED: Point3 = { x: 0, y: 0, z: 0 };

const alike = (paths: readonly Alike[]) =>
  paths.map(({ look, fill, d }) => <path key={`${look} ${fill}`} d={d} fill={fill} {...LINES[look](fill)} />);

const LINES: Record<Alike['look'], (fill: string) => SVGProps<SVGPathElement>> = {
  jointed: () => ({ stroke: '#1d2527', strokeOpacity: 0.35, strokeWidth: 0.75 }),
  divided: (fill) => ({ stroke: fill, strokeWidth: 0.4 }),
  air: () => ({ stroke: '#1d2527', strokeOpacity: 0.35, strokeWidth: 0.4, strokeDasharray: '2 3' }),
};

/** What the cut shows of inlays: in the turned wall only. */
function inlaidOf({ prepared: { inlays, turned }, palette, at, direction }: BlanksProps) {
  return inlays.flatMap(({ inlay, placed }) => {
    if (!placed.ok) return [];
    return inlayCuts(inlay, placed.value, turned, direction).map(({ place, outline }) => {
      const d = `${linePath(outline, at)}Z`;
      const wood = palette.get(place === 1 ? inlay.seam!.wood : inlay.wood);
      return <path key={d} d={d} fill={woodFill(wood, 'bench')} stroke="#1d2527" strokeWidth={0.75} />;
    });
  });
}
