import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { ownerKey, type Plan, type PreparedRing, ringOwner } from '@fellside/core';
import { useTable } from '@tanstack/react-table';
import { useMemo } from 'react';
import { unitsOf } from '../../store/house.js';
import { moveRingsTo } from '../../store/moves.js';
import { useActions, useApp } from '../../store/store.js';
import { HEADINGS, ROW } from '../layout.js';
import { columns, features } from './columns.js';
import { LedgerRow } from './LedgerRow.js';
import type { LedgerRing } from './ledgerRing.js';
import { LOOKS, NUMBERS, visibility } from './looks.js';

interface LedgerProps {
  readonly plan: Plan;
  readonly prepared: readonly PreparedRing[];
  /** Px a mm where rows lie at their rings' heights; null where the piece is fitted and rows are lines of text. */
  readonly scale: number | null;
  readonly short: boolean;
}

/** Pixels that the pointer moves before a press on a ring's number becomes a drag. */
const SLACK = { distance: 5 };

/** One row a ring, top ring first, each at its ring's own height; rows are dragged by their numbers to reorder the stack. */
export function Ledger({ plan, prepared, scale, short }: LedgerProps) {
  const dispatch = useActions();
  const units = useApp(unitsOf);
  const chosen = useApp((state) => state.look.columns);
  const data = useMemo(
    () =>
      plan.rings
        .map((ring, i): LedgerRing => ({ plan: ring, prepared: prepared[i]!, below: prepared[i - 1], units }))
        .reverse(),
    [plan, prepared, units],
  );
  const columnVisibility = useMemo(() => visibility(short, chosen), [short, chosen]);
  const table = useTable({
    features,
    columns,
    data,
    state: { columnVisibility },
    getRowId: ({ plan }) => plan.id,
  });
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: SLACK }));
  const flagged = new Set(plan.checks.flatMap(({ owners, note }) => (note ? [] : owners.map(ownerKey))));
  const shown = table.getVisibleLeafColumns();
  const ids = data.map(({ plan }) => plan.id);
  const dropped = ({ active, over }: DragEndEvent) => {
    const [from, to] = [
      plan.rings.findIndex(({ id }) => id === active.id),
      plan.rings.findIndex(({ id }) => id === over?.id),
    ];
    if (from >= 0 && to >= 0 && from !== to) dispatch(moveRingsTo(from, to));
  };
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={dropped}
      accessibility={{ container: document.body }}
    >
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        <table
          className="w-full table-fixed border-separate border-spacing-0 text-[13px] leading-[15px] whitespace-nowrap [&_td]:py-0 [&_tbody_th]:py-0 [&_button]:leading-[15px] [&_td]:border-t [&_td]:border-line [&_tbody_th]:border-t [&_tbody_th]:border-line"
          aria-label="Ring ledger"
        >
          <colgroup>
            <col style={{ width: NUMBERS }} />
            {shown.map(({ id }) => (
              <col key={id} style={{ width: LOOKS[id]!.width }} />
            ))}
          </colgroup>
          <thead>
            {table.getHeaderGroups().map((group) => (
              <tr key={group.id} className="text-left text-xs text-quiet" style={{ height: HEADINGS }}>
                <th scope="col" className="sticky top-0 z-10 bg-pane px-1.5 font-normal">
                  #
                </th>
                {group.headers
                  .filter(({ column }) => column.getIsVisible())
                  .map((header) => (
                    <th
                      key={header.id}
                      scope="col"
                      className="sticky top-0 z-10 bg-pane px-1.5 font-normal"
                      title={LOOKS[header.id]!.says}
                    >
                      <table.FlexRender header={header} />
                      {header.id === 'lock' && <span className="sr-only">lock</span>}
                    </th>
                  ))}
              </tr>
            ))}
          </thead>
          <tbody>
            {table.getRowModel().rows.map((row) => {
              const { course } = row.original.prepared;
              return (
                <LedgerRow
                  key={row.id}
                  ring={row.original}
                  flagged={flagged.has(ownerKey(ringOwner(row.original.plan.id)))}
                  height={scale === null ? ROW + 5 : (course.topMm - course.bottomMm) * scale}
                  last={plan.rings.length - 1}
                >
                  {row.getVisibleCells().map((cell) => (
                    <td key={cell.id} className={FIELDS.has(cell.column.id) ? 'px-1' : 'truncate px-1.5'}>
                      <table.FlexRender cell={cell} />
                    </td>
                  ))}
                </LedgerRow>
              );
            })}
          </tbody>
        </table>
      </SortableContext>
    </DndContext>
  );
}

const FIELDS = new Set(['way', 'count', 'height', 'lock', 'turn', 'outer', 'inner', 'made', 'across']);
