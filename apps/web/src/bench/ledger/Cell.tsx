import {
  type Command,
  editableLength,
  formatLength,
  type Mm,
  mm,
  parseLength,
  type Result,
} from '@fellside/core';
import { editPiece, refusedEntry } from '../../store/edits.js';
import { unitsOf } from '../../store/house.js';
import { selectedRingsOf } from '../../store/selection.js';
import { type Dispatch, type State, useActions, useApp } from '../../store/store.js';
import { TextEntry } from '../../ui/TextEntry.js';

const cell =
  'w-full h-[16px]! leading-[15px]! text-[13px] border-0! bg-transparent! px-1! hover:ring-1 hover:ring-line focus:bg-raised! aria-invalid:bg-rust-wash!';

/** What is wrong is said in the message line; the cell keeps what was typed. */
const quiet = () => {};

/** The rings that an edit in a row goes to: all that are selected, where the row is one of several. */
export const rowTargets =
  (ring: number) =>
  (_: Dispatch, getState: () => State): readonly number[] => {
    const selected = selectedRingsOf(getState());
    return selected.length > 1 && selected.includes(ring) ? selected : [ring];
  };

interface CellProps {
  readonly column: string;
  readonly ring: number;
  readonly label: string;
  readonly shown: string;
  readonly editable: string;
  readonly read: (text: string) => Result<unknown>;
}

/** A cell that is a field: Enter sets it, Escape puts it back, up and down go to the same cell of the next ring. */
export function Cell({ column, ring, label, shown, editable, read }: CellProps) {
  const go = (step: number) => document.getElementById(`cell-${column}-${ring + step}`)?.focus();
  return (
    <TextEntry
      id={`cell-${column}-${ring}`}
      aria-label={`${label} of ring ${ring + 1}`}
      className={cell}
      shown={shown}
      editable={editable}
      read={read}
      onProblem={quiet}
      onWalk={go}
    />
  );
}

interface LengthCellProps {
  readonly column: string;
  readonly ring: number;
  readonly label: string;
  readonly value: Mm | undefined;
  /** What stands in an empty cell; without it the cell cannot be emptied. */
  readonly empty?: string;
  readonly command: (rings: readonly number[], value: Mm | undefined) => Command;
}

/** A length in a cell; for all selected rings at once. */
export function LengthCell({ column, ring, label, value, empty, command }: LengthCellProps) {
  const dispatch = useActions();
  const units = useApp(unitsOf);
  const read = (text: string): Result<unknown> => {
    const rings = dispatch(rowTargets(ring));
    if (empty !== undefined && (text.trim() === '' || text.trim() === empty))
      return dispatch(editPiece(command(rings, undefined)));
    const length = parseLength(text, units, label);
    if (!length.ok) return dispatch(refusedEntry(length.reasons[0]!.message));
    return dispatch(editPiece(command(rings, mm(length.value))));
  };
  return (
    <Cell
      {...{ column, ring, label, read }}
      shown={value === undefined ? (empty ?? '') : formatLength(value, units)}
      editable={value === undefined ? '' : editableLength(value, units)}
    />
  );
}
