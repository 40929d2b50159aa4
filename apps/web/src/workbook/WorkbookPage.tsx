import { ALL_ROWS, boardFeet, foundIn, type WorkbookRow, workbookCsv, workbookTotals } from '@fellside/core';
import { useMemo, useState } from 'react';
import { api, NO_ANSWER } from '../store/api.js';
import { unitsOf } from '../store/house.js';
import { useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { saveFile } from '../ui/saveFile.js';
import { Filters } from './Filters.js';
import { columnsIn, WorkbookTable } from './WorkbookTable.js';

/** All pieces in one table: looked through by word, wood, way, year and size, sorted by any column, with what they come to together. */
export function WorkbookPage() {
  const units = useApp(unitsOf);
  const { data, isError } = api.useWorkbookQuery(undefined, { refetchOnMountOrArgChange: true });
  const [asked, setAsked] = useState(ALL_ROWS);
  const rows = useMemo(() => foundIn(data ?? [], asked), [data, asked]);
  const columns = useMemo(() => columnsIn(units), [units]);
  return (
    <div className="h-full overflow-auto p-4">
      <div className="mb-3 flex flex-wrap items-end gap-4">
        <h1 className="text-xl font-semibold">Workbook</h1>
        {data && <Filters rows={data} asked={asked} ask={setAsked} />}
        <Button
          className="h-9!"
          disabled={rows.length === 0}
          onClick={() => saveFile('workbook.csv', 'text/csv', workbookCsv(rows, units))}
        >
          Save as CSV
        </Button>
      </div>
      {isError && <p role="alert">{NO_ANSWER}</p>}
      {!data && !isError && <p className="text-quiet">All pieces are being planned…</p>}
      {data && <Totals rows={rows} />}
      {data && <WorkbookTable rows={rows} columns={columns} />}
    </div>
  );
}

function Totals({ rows }: { rows: readonly WorkbookRow[] }) {
  const { works, pieces, hours, woodMm3, woods } = workbookTotals(rows);
  return (
    <p className="mb-3 max-w-prose" role="status">
      <b>{works}</b> {works === 1 ? 'piece' : 'pieces'} of <b>{pieces}</b> parts, with{' '}
      <b>{boardFeet(woodMm3).toFixed(2)} bd ft</b> of wood in them
      {hours > 0 && `, in ${hours} hours as far as they are told`}.{' '}
      {woods
        .slice(0, MOST_WOODS)
        .map((wood) => `${wood.name}: ${wood.pieces} parts in ${wood.works}`)
        .join('; ')}
      {woods.length > 0 && '.'}
    </p>
  );
}

const MOST_WOODS = 6;
