import { boardFeet, formatLength, mm, type UnitSystem, type WorkbookRow } from '@fellside/core';
import {
  createColumnHelper,
  createSortedRowModel,
  rowSortingFeature,
  sortFn_alphanumeric,
  sortFn_basic,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { Link } from 'react-router';

const features = tableFeatures({
  rowSortingFeature,
  sortedRowModel: createSortedRowModel(),
  sortFns: { basic: sortFn_basic, alphanumeric: sortFn_alphanumeric },
});
const helper = createColumnHelper<typeof features, WorkbookRow>();

/** The columns of the workbook, lengths in the reader's units. */
export const columnsIn = (units: UnitSystem) =>
  helper.columns([
    helper.accessor('name', {
      header: 'Piece',
      cell: ({ row, getValue }) => (
        <Link className="font-semibold hover:underline" to={`/piece/${row.original.id}/record/passport`}>
          {getValue()}
        </Link>
      ),
    }),
    helper.accessor('number', { header: 'Number' }),
    helper.accessor('made', { header: 'Made' }),
    helper.accessor('heightMm', {
      header: 'Height',
      cell: ({ getValue }) => formatLength(mm(getValue()), units),
    }),
    helper.accessor('diameterMm', {
      header: 'Across',
      cell: ({ getValue }) => formatLength(mm(getValue()), units),
    }),
    helper.accessor('rings', { header: 'Rings' }),
    helper.accessor('pieces', { header: 'Pieces' }),
    helper.accessor('woodMm3', {
      header: 'Wood, bd ft',
      cell: ({ getValue }) => boardFeet(getValue()).toFixed(2),
    }),
    helper.accessor(({ hours }) => hours ?? -1, {
      id: 'hours',
      header: 'Hours',
      cell: ({ row }) => row.original.hours ?? '',
    }),
    helper.accessor(({ woods }) => woods.map(({ name }) => name).join(', '), {
      id: 'woods',
      header: 'Woods',
    }),
    helper.accessor(({ ways }) => ways.join(', '), { id: 'ways', header: 'Made as' }),
  ]);

/** Columns of figures stand to the right. */
const FIGURES = new Set(['heightMm', 'diameterMm', 'rings', 'pieces', 'woodMm3', 'hours']);

/** All pieces, sorted by the column whose head was pressed. */
export function WorkbookTable({
  rows,
  columns,
}: {
  rows: WorkbookRow[];
  columns: ReturnType<typeof columnsIn>;
}) {
  const table = useTable({
    features,
    columns,
    data: rows,
  });
  if (rows.length === 0) return <p className="mt-3 text-quiet">No piece is like that.</p>;
  return (
    <section aria-label="All pieces" tabIndex={0} className="overflow-x-auto">
      <table className="w-full text-sm">
        <thead>
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id} className="text-left text-xs text-quiet">
              {group.headers.map((header) => {
                const sorted = header.column.getIsSorted();
                return (
                  <th
                    key={header.id}
                    scope="col"
                    aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
                    className={FIGURES.has(header.column.id) ? 'text-right' : ''}
                  >
                    <button
                      type="button"
                      className="min-h-9 px-1 hover:text-ink"
                      onClick={header.column.getToggleSortingHandler()}
                    >
                      {String(header.column.columnDef.header)}
                      <span aria-hidden>{sorted === 'asc' ? ' ▲' : sorted === 'desc' ? ' ▼' : ''}</span>
                    </button>
                  </th>
                );
              })}
            </tr>
          ))}
        </thead>
        <tbody>
          {table.getRowModel().rows.map((row) => (
            <tr key={row.id} className="border-t border-line align-top">
              {row.getAllCells().map((cell) => (
                <td
                  key={cell.id}
                  className={`px-1 py-1.5 ${FIGURES.has(cell.column.id) ? 'text-right whitespace-nowrap tabular-nums' : ''}`}
                >
                  <table.FlexRender cell={cell} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
