import {
  calledOf,
  edit,
  mm,
  parseTurn,
  placesOf,
  type Result,
  START_IDS,
  STARTS,
  type StartId,
  segmentsOf,
  startOf,
  trimZeros,
  turnSaid,
} from '@fellside/core';
import { Lock, LockOpen } from 'lucide-react';
import { editPiece, refusedEntry } from '../../store/edits.js';
import { useActions } from '../../store/store.js';
import { Cell, LengthCell, rowTargets } from './Cell.js';
import type { LedgerRing } from './ledgerRing.js';

const indexOf = ({ plan }: Pick<LedgerRing, 'plan'>) => plan.index;

export function WayCell(row: LedgerRing) {
  const dispatch = useActions();
  const { making } = row.prepared.ring;
  return (
    <select
      aria-label={`How ring ${indexOf(row) + 1} is made`}
      id={`cell-way-${indexOf(row)}`}
      className="h-[16px] w-full rounded bg-transparent p-0 text-[12px] leading-[16px] hover:bg-raised"
      value={startOf(making)}
      onChange={(event) => {
        const targets = dispatch(rowTargets(indexOf(row)));
        dispatch(editPiece(edit.startFrom(targets, event.target.value as StartId)));
      }}
    >
      {START_IDS.map((start) => (
        <option key={start} value={start} disabled={start === 'stock'}>
          {start === startOf(making) ? calledOf(making) : STARTS[start].name}
        </option>
      ))}
    </select>
  );
}

export function CountCell(row: LedgerRing) {
  const dispatch = useActions();
  const count = segmentsOf(row.prepared.ring.making);
  const read = (text: string): Result<unknown> =>
    dispatch(editPiece(edit.setCount(dispatch(rowTargets(indexOf(row))), Number(text.trim() || Number.NaN))));
  return (
    <Cell
      column="count"
      ring={indexOf(row)}
      label="Segments"
      shown={count !== null ? String(count) : placesOf(row.prepared.ring.making) === 1 ? 'disc' : '–'}
      editable={count === null ? '' : String(count)}
      read={read}
    />
  );
}

export const HeightCell = (row: LedgerRing) => (
  <LengthCell
    column="height"
    ring={indexOf(row)}
    label="Height"
    value={row.prepared.ring.heightMm}
    command={(rings, value) => edit.setRingHeight(rings, value!)}
  />
);

export function LockCell(row: LedgerRing) {
  const dispatch = useActions();
  const locked = row.prepared.ring.locked === true;
  const Sign = locked ? Lock : LockOpen;
  return (
    <button
      type="button"
      id={`cell-lock-${indexOf(row)}`}
      aria-pressed={locked}
      aria-label={`Lock the height of ring ${indexOf(row) + 1}`}
      title={locked ? 'This height stays when the form is sliced' : 'Lock this height'}
      className={`flex h-[16px] w-full items-center justify-center rounded ${locked ? 'text-teal' : 'text-line hover:text-quiet'}`}
      onClick={() => dispatch(editPiece(edit.setLocked(dispatch(rowTargets(indexOf(row))), !locked)))}
    >
      <Sign aria-hidden size={12} />
    </button>
  );
}

export function TurnCell(row: LedgerRing) {
  const dispatch = useActions();
  const { turn } = row.prepared.ring;
  const shown = turnSaid({ segments: turn, angle: row.prepared.turn });
  const read = (text: string): Result<unknown> => {
    const given = parseTurn(text);
    return given.ok
      ? dispatch(editPiece(edit.setTurn(dispatch(rowTargets(indexOf(row))), given.value)))
      : dispatch(refusedEntry(given.reasons[0]!.message));
  };
  return (
    <Cell
      column="turn"
      ring={indexOf(row)}
      label="Turn, in segments or degrees,"
      shown={shown}
      editable={trimZeros(turn.toFixed(4))}
      read={read}
    />
  );
}

/** A diameter that the ring keeps; emptied, the ring follows the form again. */
export function FixedCell({ side, ...row }: LedgerRing & { side: 'outerRadiusMm' | 'innerRadiusMm' }) {
  const { fixed } = row.prepared.ring;
  return (
    <LengthCell
      column={side === 'outerRadiusMm' ? 'outer' : 'inner'}
      ring={indexOf(row)}
      label={side === 'outerRadiusMm' ? 'Fixed diameter' : 'Fixed hole'}
      value={fixed && mm(2 * fixed[side])}
      empty="–"
      command={(rings, value) =>
        value === undefined ? edit.setFixed(rings, null) : edit.fixSizes(rings, { [side]: mm(value / 2) })
      }
    />
  );
}

export const MeasuredHeightCell = (row: LedgerRing) => (
  <LengthCell
    column="made"
    ring={indexOf(row)}
    label="Measured thickness"
    value={row.prepared.ring.measured?.heightMm}
    empty="–"
    command={(rings, heightMm) => edit.setMeasured(rings, { heightMm })}
  />
);

export const MeasuredDiameterCell = (row: LedgerRing) => (
  <LengthCell
    column="across"
    ring={indexOf(row)}
    label="Measured diameter"
    value={row.prepared.ring.measured?.diameterMm}
    empty="–"
    command={(rings, diameterMm) => edit.setMeasured(rings, { diameterMm })}
  />
);
