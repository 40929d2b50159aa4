import {
  formatAngle,
  formatArea,
  formatLength,
  isRound,
  type Mm,
  mitred,
  type PieceKind,
  stepAtJoint,
} from '@fellside/core';
import { columnVisibilityFeature, createColumnHelper, tableFeatures } from '@tanstack/react-table';
import {
  CountCell,
  FixedCell,
  HeightCell,
  LockCell,
  MeasuredDiameterCell,
  MeasuredHeightCell,
  TurnCell,
  WayCell,
} from './cells.js';
import type { LedgerRing } from './ledgerRing.js';

export const features = tableFeatures({ columnVisibilityFeature });
const helper = createColumnHelper<typeof features, LedgerRing>();

const kindOf = ({ plan }: LedgerRing): PieceKind | undefined => plan.pieces[0]?.kind;
const stripOf = (ring: LedgerRing) => {
  const stock = kindOf(ring)?.stock;
  return stock ? mitred(stock) : null;
};
/** Cut angle and, where the blade is tilted, its tilt. */
function cutOf(ring: LedgerRing): string {
  const stock = kindOf(ring)?.stock;
  if (stock?.from === 'panel')
    return stock.bladeTilt === undefined
      ? ''
      : `${formatAngle(stock.mitre!)}/${formatAngle(stock.bladeTilt)}`;
  const strip = stripOf(ring);
  if (!strip) return '';
  const tilt = 'bladeTilt' in strip && strip.bladeTilt > 0 ? `/${formatAngle(strip.bladeTilt)}` : '';
  return formatAngle(strip.cutAngle) + tilt;
}
const length = (mm: Parameters<typeof formatLength>[0] | undefined | null, { units }: LedgerRing) =>
  mm === undefined || mm === null ? '' : formatLength(mm, units);
const diameter = (radius: number, ring: LedgerRing) =>
  formatLength((2 * radius) as Parameters<typeof formatLength>[0], ring.units);

/** Long edges of every distinct mitred piece of a ring; widths of staves; the diameter of a disc. */
function edges(ring: LedgerRing): string {
  const all = ring.plan.pieces.flatMap(({ kind: { stock } }) => {
    const piece = mitred(stock);
    if (piece) return piece.cutAngle > 0 ? [length(piece.longEdgeMm, ring)] : [];
    if (stock.from !== 'panel') return ['stash'];
    if (stock.shape === 'stave') return [length(stock.widthMm, ring)];
    return isRound(stock) ? [`${length(stock.widthMm, ring)} ø`] : [];
  });
  return [...new Set(all)].join(' · ');
}

/** The step of a ring's joints beside those of the ring below, where the two meet at the outside. */
function step({ prepared, below }: LedgerRing): number | null {
  if (!below?.made.ok || !prepared.made.ok) return null;
  const radius = Math.min(prepared.wall.outerRadiusMm, below.wall.outerRadiusMm);
  return stepAtJoint(
    { made: below.made.value, turn: below.turn },
    { made: prepared.made.value, turn: prepared.turn },
    radius,
  );
}

/** The figures of a ring, one column each; those that the user gives are fields. */
export const columns = helper.columns([
  helper.display({ id: 'way', header: 'made as', cell: ({ row }) => <WayCell {...row.original} /> }),
  helper.display({ id: 'count', header: 'segs', cell: ({ row }) => <CountCell {...row.original} /> }),
  helper.display({ id: 'height', header: 'height', cell: ({ row }) => <HeightCell {...row.original} /> }),
  helper.display({ id: 'lock', header: '', cell: ({ row }) => <LockCell {...row.original} /> }),
  helper.display({
    id: 'cut',
    header: 'cut',
    cell: ({ row }) => cutOf(row.original),
  }),
  helper.display({ id: 'edge', header: 'long edge', cell: ({ row }) => edges(row.original) }),
  helper.display({
    id: 'short',
    header: 'short edge',
    cell: ({ row }) => length(stripOf(row.original)?.shortEdgeMm, row.original),
  }),
  helper.display({
    id: 'strip',
    header: 'strip',
    cell: ({ row }) => length(stripOf(row.original)?.widthMm, row.original),
  }),
  helper.display({ id: 'turn', header: 'turn, segs', cell: ({ row }) => <TurnCell {...row.original} /> }),
  helper.display({
    id: 'step',
    header: 'joint step',
    cell: ({ row }) => length(step(row.original) as Mm | null, row.original),
  }),
  helper.display({
    id: 'glued',
    header: 'glued end',
    cell: ({ row: { original: ring } }) =>
      ring.plan.contactMm2 === null ? '' : formatArea(ring.plan.contactMm2, ring.units),
  }),
  helper.display({
    id: 'needs',
    header: 'needs ø',
    cell: ({ row: { original: ring } }) =>
      `${diameter(ring.plan.need.outerRadiusMm, ring)} / ${diameter(ring.plan.need.innerRadiusMm, ring)}`,
  }),
  helper.display({
    id: 'gives',
    header: 'gives ø',
    cell: ({ row: { original: ring } }) =>
      ring.plan.gives &&
      `${diameter(ring.plan.gives.outerRadiusMm, ring)} / ${diameter(ring.plan.gives.innerRadiusMm, ring)}`,
  }),
  helper.display({
    id: 'overlap',
    header: 'overlap',
    cell: ({ row }) => length(row.original.plan.overlapMm, row.original),
  }),
  helper.display({
    id: 'outer',
    header: 'fixed ø',
    cell: ({ row }) => <FixedCell side="outerRadiusMm" {...row.original} />,
  }),
  helper.display({
    id: 'inner',
    header: 'fixed hole',
    cell: ({ row }) => <FixedCell side="innerRadiusMm" {...row.original} />,
  }),
  helper.display({
    id: 'made',
    header: 'measured',
    cell: ({ row }) => <MeasuredHeightCell {...row.original} />,
  }),
  helper.display({
    id: 'across',
    header: 'measured ø',
    cell: ({ row }) => <MeasuredDiameterCell {...row.original} />,
  }),
]);
