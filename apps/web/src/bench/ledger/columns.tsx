import {
  formatAngle,
  formatLength,
  type PieceKind,
  type PreparedRing,
  type RingPlan,
  type UnitSystem,
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

/** What a row of the ledger is about. */
export interface LedgerRing {
  readonly plan: RingPlan;
  readonly prepared: PreparedRing;
  readonly units: UnitSystem;
}

export const features = tableFeatures({ columnVisibilityFeature });
const helper = createColumnHelper<typeof features, LedgerRing>();

const kindOf = ({ plan }: LedgerRing): PieceKind | undefined => plan.pieces[0]?.kind;
const stripOf = (ring: LedgerRing) => {
  const stock = kindOf(ring)?.stock;
  return stock?.from === 'strip' ? stock : null;
};
const length = (mm: Parameters<typeof formatLength>[0] | undefined | null, { units }: LedgerRing) =>
  mm === undefined || mm === null ? '' : formatLength(mm, units);
const diameter = (radius: number, ring: LedgerRing) =>
  formatLength((2 * radius) as Parameters<typeof formatLength>[0], ring.units);

/** Long edges of every distinct piece of a ring, or the diameter of a disc. */
function edges(ring: LedgerRing): string {
  const stocks = ring.plan.pieces.map(({ kind }) => kind.stock);
  const all = stocks.map((stock) =>
    stock.from === 'strip' ? length(stock.longEdgeMm, ring) : `${length(stock.widthMm, ring)} ø`,
  );
  return [...new Set(all)].join(' · ');
}

/** A column: what it is called in the table and in the list to choose from, how wide it is (px), which ledger shows it. */
export interface ColumnLook {
  readonly says: string;
  readonly width: number;
  readonly usual: 'always' | 'both' | 'long' | 'never';
}

export const LOOKS: Readonly<Record<string, ColumnLook>> = {
  way: { says: 'Made as', width: 112, usual: 'never' },
  count: { says: 'Segments', width: 48, usual: 'both' },
  height: { says: 'Height', width: 68, usual: 'both' },
  lock: { says: 'Lock of the height', width: 30, usual: 'long' },
  cut: { says: 'Cut angle', width: 50, usual: 'long' },
  edge: { says: 'Long edge', width: 82, usual: 'both' },
  short: { says: 'Short edge', width: 72, usual: 'never' },
  strip: { says: 'Strip width', width: 72, usual: 'both' },
  turn: { says: 'Turn', width: 62, usual: 'long' },
  needs: { says: 'Needed: outer and inner diameter', width: 128, usual: 'never' },
  gives: { says: 'Given: outer and inner diameter', width: 128, usual: 'never' },
  overlap: { says: 'Overlap with the ring below', width: 66, usual: 'never' },
  outer: { says: 'Fixed outer diameter', width: 74, usual: 'never' },
  inner: { says: 'Fixed inner diameter', width: 74, usual: 'never' },
  made: { says: 'Measured thickness', width: 70, usual: 'never' },
  across: { says: 'Measured diameter', width: 74, usual: 'never' },
};

/** The figures of a ring, one column each; those that the user gives are fields. */
export const columns = helper.columns([
  helper.display({ id: 'way', header: 'made as', cell: ({ row }) => <WayCell {...row.original} /> }),
  helper.display({ id: 'count', header: 'segs', cell: ({ row }) => <CountCell {...row.original} /> }),
  helper.display({ id: 'height', header: 'height', cell: ({ row }) => <HeightCell {...row.original} /> }),
  helper.display({ id: 'lock', header: '', cell: ({ row }) => <LockCell {...row.original} /> }),
  helper.display({
    id: 'cut',
    header: 'cut',
    cell: ({ row }) => {
      const strip = stripOf(row.original);
      return strip && formatAngle(strip.cutAngle);
    },
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
  helper.display({ id: 'turn', header: 'turn', cell: ({ row }) => <TurnCell {...row.original} /> }),
  helper.display({
    id: 'needs',
    header: 'needs ø',
    cell: ({ row: { original: ring } }) =>
      `${diameter(ring.plan.need.outerMm, ring)} / ${diameter(ring.plan.need.innerMm, ring)}`,
  }),
  helper.display({
    id: 'gives',
    header: 'gives ø',
    cell: ({ row: { original: ring } }) =>
      ring.plan.gives &&
      `${diameter(ring.plan.gives.outerMm, ring)} / ${diameter(ring.plan.gives.innerMm, ring)}`,
  }),
  helper.display({
    id: 'overlap',
    header: 'overlap',
    cell: ({ row }) => length(row.original.plan.overlapMm, row.original),
  }),
  helper.display({
    id: 'outer',
    header: 'fixed ø',
    cell: ({ row }) => <FixedCell side="outerMm" {...row.original} />,
  }),
  helper.display({
    id: 'inner',
    header: 'fixed hole',
    cell: ({ row }) => <FixedCell side="innerMm" {...row.original} />,
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

/** Which columns a ledger shows: the usual ones, but for what the user has put in or left out. */
export function visibility(
  short: boolean,
  chosen: Readonly<Record<string, boolean>>,
): Record<string, boolean> {
  const shown = ({ usual }: ColumnLook) => usual === 'both' || (!short && usual === 'long');
  return Object.fromEntries(
    Object.entries(LOOKS).map(([id, look]) => [id, short ? shown(look) : (chosen[id] ?? shown(look))]),
  );
}

/** Width of the column with the rings' numbers (px). */
export const NUMBERS = 40;
/** A little more than the columns need (px). */
const EDGES = 6;

/** How wide a ledger is with the columns it shows (px). */
export const ledgerWidth = (short: boolean, chosen: Readonly<Record<string, boolean>>): number =>
  Object.entries(visibility(short, chosen)).reduce(
    (sum, [id, shown]) => sum + (shown ? LOOKS[id]!.width : 0),
    NUMBERS + EDGES,
  );
