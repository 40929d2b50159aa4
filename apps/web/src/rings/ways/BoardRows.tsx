import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { boardsOf, edit, formatLength, type Mm, mm, type Result, type RowChange } from '@fellside/core';
import { Copy, GripVertical, X } from 'lucide-react';
import { editPiece } from '../../store/edits.js';
import { projectOf, unitsOf } from '../../store/house.js';
import { paletteOf, preparedOf } from '../../store/selectors.js';
import { useActions, useApp } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { controlClass } from '../../ui/Field.js';
import { LengthField } from '../../ui/LengthField.js';
import { shared } from '../targets.js';
import { BoardEnd, type Row } from './BoardEnd.js';
import type { ControlsProps } from './params.js';

interface BoardRowsProps extends ControlsProps {
  /** Which board of a ring that has several: that of its segments is the first. */
  readonly board?: number;
}

/** A board that rings are glued up from, row by row: thickness, wood, order; drawn to scale beside it. */
export function BoardRows({ targets, board: which = 0 }: BoardRowsProps) {
  const dispatch = useActions();
  const palette = useApp((state) => projectOf(state).palette);
  const species = useApp(paletteOf);
  const prepared = useApp(preparedOf);
  const ring = useApp((state) => projectOf(state).rings[targets[0]!]!);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    // Where the rows lie in a bar that scrolls, at once: a row that is put down while it scrolls would not have moved.
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates, scrollBehavior: 'auto' }),
  );
  const rings = useApp((state) => projectOf(state).rings);
  const board = boardsOf(ring.making)[which];
  if (!board) return null;
  const made = prepared.ok ? prepared.value.rings[targets[0]!]?.made : undefined;
  const leftMm = made?.ok ? board.left?.(ring.making, made.value) : null;
  const rows = board.sizes(ring.making).map(
    (sizeMm, row): Row => ({
      at: row,
      sizeMm: sizeMm ?? mm(leftMm ?? 0),
      left: sizeMm === null,
      wood: shared(board.places(ring.making, row).map((place) => ring.woods[place] ?? '')),
    }),
  );
  const sizesOf = (index: number) =>
    JSON.stringify(boardsOf(rings[index]!.making)[which]?.sizes(rings[index]!.making));
  const differ = targets.some((index) => sizesOf(index) !== sizesOf(targets[0]!));
  const as = (row: number): RowChange => ({ sizeMm: rows[row]!.sizeMm, like: row });
  const all = rows.map((_, row) => as(row));
  const set = (next: readonly RowChange[]) => dispatch(editPiece(edit.setRows(targets, next, which)));
  const moved = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    const [from, to] = [Number(active.id) - 1, Number(over.id) - 1];
    const rest = all.toSpliced(from, 1);
    set(rest.toSpliced(to, 0, all[from]!));
  };
  // As they lie on the bench: the lowest last.
  const shown = board.upward(ring.making)
    ? rows.map((_, row) => rows.length - 1 - row)
    : rows.map((_, row) => row);
  return (
    <fieldset aria-label={board.called(ring.making)} className="flex min-w-0 items-start gap-3">
      <div>
        <p className="text-xs text-quiet">{board.called(ring.making)}</p>
        <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={moved}>
          <SortableContext items={shown.map((row) => row + 1)} strategy={verticalListSortingStrategy}>
            <ol className="max-h-44 overflow-y-auto rounded border border-line">
              {shown.map((at) => (
                <BoardRow
                  key={at}
                  at={at}
                  row={rows[at]!}
                  woods={palette.map(({ key }) => [key, species.get(key)?.name ?? key] as const)}
                  onSize={(sizeMm) => set(all.with(at, { ...as(at), sizeMm }))}
                  onWood={(key) => set(all.with(at, { ...as(at), key }))}
                  onCopy={() => set(all.toSpliced(at, 0, as(at)))}
                  onTakeOut={() => set(all.toSpliced(at, 1))}
                />
              ))}
            </ol>
          </SortableContext>
        </DndContext>
        <div className="mt-1 flex gap-1">
          <Button onClick={() => set([...all, ...all.slice(0, -1).reverse()])}>Mirror</Button>
          <Button onClick={() => set([...all].reverse())}>Turn round</Button>
        </div>
        {differ && (
          <p className="mt-1 max-w-80 text-xs text-quiet">
            The boards of these rings differ; this is the first, and what is set here goes to all.
          </p>
        )}
      </div>
      <BoardEnd rows={shown.map((at) => rows[at]!)} called={board.called(ring.making)} />
    </fieldset>
  );
}

interface BoardRowProps {
  readonly at: number;
  readonly row: Row;
  readonly woods: readonly (readonly [key: string, name: string])[];
  readonly onSize: (sizeMm: Mm) => Result<unknown>;
  readonly onWood: (key: string) => void;
  readonly onCopy: () => void;
  readonly onTakeOut: () => void;
}

function BoardRow({ at, row, woods, onSize, onWood, onCopy, onTakeOut }: BoardRowProps) {
  const { setNodeRef, setActivatorNodeRef, attributes, listeners, transform, transition } = useSortable({
    id: at + 1,
  });
  const units = useApp(unitsOf);
  const name = `Row ${at + 1}`;
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className="flex items-center gap-1 border-b border-line bg-pane px-1 py-0.5 last:border-b-0"
    >
      <button
        type="button"
        ref={setActivatorNodeRef}
        {...attributes}
        {...listeners}
        aria-label={`Move row ${at + 1}`}
        title="Drag, or space and arrow keys, to move it"
        className="flex h-8 w-6 touch-none items-center justify-center text-quiet"
      >
        <GripVertical aria-hidden size={14} />
      </button>
      <span className="w-5 text-right text-xs text-quiet">{at + 1}</span>
      {row.left ? (
        <span className="w-20 px-2 text-quiet" title="What is left for it">
          {row.sizeMm > 0 ? formatLength(row.sizeMm, units) : 'the rest'}
        </span>
      ) : (
        <LengthField
          label={`${name}, thickness`}
          unlabelled
          className="w-20"
          value={row.sizeMm}
          onChange={onSize}
        />
      )}
      <select
        aria-label={`${name}, wood`}
        className={`${controlClass} w-36`}
        value={row.wood ?? ''}
        onChange={(event) => onWood(event.target.value)}
      >
        {row.wood === null && (
          <option value="" disabled>
            various
          </option>
        )}
        {woods.map(([key, wood]) => (
          <option key={key} value={key}>
            {wood}
          </option>
        ))}
      </select>
      <Button aria-label={`Copy row ${at + 1}`} title="Copy" onClick={onCopy}>
        <Copy aria-hidden size={14} />
      </Button>
      <Button aria-label={`Take row ${at + 1} out`} title="Take out" onClick={onTakeOut}>
        <X aria-hidden size={14} />
      </Button>
    </li>
  );
}
