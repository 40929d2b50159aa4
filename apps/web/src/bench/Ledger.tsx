import {
  edit,
  editableLength,
  formatAngle,
  formatLength,
  type PreparedRing,
  parseLength,
  type Result,
  type RingPlan,
  trimZeros,
  type UnitSystem,
} from '@fellside/core';
import type { KeyboardEvent } from 'react';
import { editPiece, refusedEntry } from '../store/edits.js';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';
import { TextEntry } from '../ui/TextEntry.js';
import { clickRing } from './keys.js';
import { HEADINGS, ROW } from './layout.js';

interface LedgerProps {
  readonly plans: readonly RingPlan[];
  readonly prepared: readonly PreparedRing[];
  readonly units: UnitSystem;
  /** Px a mm where rows lie at their rings' heights; null where the piece is fitted and rows are lines of text. */
  readonly scale: number | null;
  readonly short: boolean;
  readonly flagged: ReadonlySet<number>;
}

const HEADS = ['#', 'segs', 'height', 'cut', 'long edge', 'strip', 'turn'] as const;
const SHORT = ['#', 'segs', 'height', 'long edge', 'strip'] as const;

/** Columns that need no more than this (px); the others share the rest. */
const WIDTHS: Partial<Record<(typeof HEADS)[number], number>> = {
  '#': 40,
  segs: 46,
  height: 66,
  cut: 48,
  turn: 64,
};

/** One row a ring, top ring first, each at its ring's own height. */
export function Ledger({ plans, prepared, units, scale, short, flagged }: LedgerProps) {
  const rows = plans.map((plan, i) => ({ plan, ring: prepared[i]! })).reverse();
  return (
    <table
      className="w-full table-fixed border-separate border-spacing-0 text-[13px] whitespace-nowrap [&_td]:border-t [&_td]:border-line [&_tbody_th]:border-t [&_tbody_th]:border-line"
      aria-label="Ring ledger"
    >
      <colgroup>
        {(short ? SHORT : HEADS).map((head) => (
          <col key={head} style={{ width: WIDTHS[head] }} />
        ))}
      </colgroup>
      <thead>
        <tr className="text-left text-xs text-quiet" style={{ height: HEADINGS }}>
          {(short ? SHORT : HEADS).map((head) => (
            <th key={head} scope="col" className="px-1.5 font-normal">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(({ plan, ring }) => (
          <Row
            key={plan.id}
            {...{ plan, ring, units, short }}
            flagged={flagged.has(plan.index)}
            height={scale === null ? ROW + 5 : ring.ring.heightMm * scale}
            last={plans.length - 1}
          />
        ))}
      </tbody>
    </table>
  );
}

interface RowProps {
  readonly plan: RingPlan;
  readonly ring: PreparedRing;
  readonly units: UnitSystem;
  readonly short: boolean;
  readonly flagged: boolean;
  readonly height: number;
  readonly last: number;
}

function Row({ plan, ring: { ring }, units, short, flagged, height, last }: RowProps) {
  const dispatch = useActions();
  const selected = useApp((state) => state.session.selected.includes(plan.index));
  const stock = plan.pieces[0]?.kind.stock;
  const strip = stock?.from === 'strip' ? stock : null;
  const panel = stock?.from === 'panel' ? stock : null;
  const walk = (event: KeyboardEvent) => {
    const step = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
    const next = Math.min(last, Math.max(0, plan.index + step));
    if (step === 0 || next === plan.index) return;
    event.preventDefault();
    dispatch(session.clicked({ ring: next, extend: event.shiftKey }));
    document.getElementById(`ring-${next}`)?.focus();
  };
  return (
    <tr
      aria-selected={selected}
      style={{ height }}
      className="aria-selected:bg-teal-wash"
      onClick={(event) => {
        if (event.target instanceof HTMLInputElement) return;
        dispatch(clickRing(plan.index, event));
      }}
    >
      <th scope="row" className="px-1 text-left font-normal">
        <button
          type="button"
          id={`ring-${plan.index}`}
          className={`w-full rounded text-left ${selected ? 'font-bold text-teal' : 'text-quiet'}`}
          onKeyDown={walk}
          aria-label={`Ring ${plan.index + 1}${flagged ? ', look at this' : ''}`}
        >
          {plan.index + 1}
          {flagged && <span className="text-rust"> ▲</span>}
        </button>
      </th>
      <td className="px-1">
        <CountCell plan={plan} count={ring.making.way === 'flat' ? ring.making.count : null} />
      </td>
      <td className="px-1">
        <HeightCell plan={plan} units={units} heightMm={ring.heightMm} />
      </td>
      {!short && <td className="px-1.5">{strip ? formatAngle(strip.cutAngle) : ''}</td>}
      <td className="px-1.5">
        {strip
          ? formatLength(strip.longEdgeMm, units)
          : panel
            ? `${formatLength(panel.widthMm, units)} ø`
            : ''}
      </td>
      <td className="px-1.5">{strip ? formatLength(strip.widthMm, units) : ''}</td>
      {!short && (
        <td className="px-1">
          <TurnCell plan={plan} turn={ring.turn} />
        </td>
      )}
    </tr>
  );
}

const cell =
  'w-full h-[16px]! text-[13px] border-transparent! bg-transparent! px-1! hover:border-line! focus:bg-raised! aria-invalid:bg-rust-wash!';

/** What is wrong is said in the message line; the cell keeps what was typed. */
const quiet = () => {};

function CountCell({ plan, count }: { plan: RingPlan; count: number | null }) {
  const dispatch = useActions();
  const read = (text: string): Result<unknown> =>
    dispatch(editPiece(edit.setCount([plan.index], Number(text.trim() || Number.NaN))));
  return (
    <TextEntry
      aria-label={`Segments of ring ${plan.index + 1}`}
      className={cell}
      shown={count === null ? 'disc' : String(count)}
      editable={count === null ? '' : String(count)}
      read={read}
      onProblem={quiet}
    />
  );
}

function HeightCell({
  plan,
  units,
  heightMm,
}: {
  plan: RingPlan;
  units: UnitSystem;
  heightMm: RingPlan['topMm'];
}) {
  const dispatch = useActions();
  const read = (text: string): Result<unknown> => {
    const length = parseLength(text, units, `rings.${plan.index}.heightMm`);
    if (!length.ok) return dispatch(refusedEntry(length.reasons[0]!.message));
    return dispatch(
      editPiece(edit.setRingHeight([plan.index], length.value), {
        edit: 'height',
        rings: [plan.index],
        heightMm: length.value,
      }),
    );
  };
  return (
    <TextEntry
      aria-label={`Height of ring ${plan.index + 1}`}
      className={cell}
      shown={formatLength(heightMm, units)}
      editable={editableLength(heightMm, units)}
      read={read}
      onProblem={quiet}
    />
  );
}

function TurnCell({ plan, turn }: { plan: RingPlan; turn: number }) {
  const dispatch = useActions();
  const shown = turn === 0 ? '0' : turn === 0.5 ? '½ seg' : `${trimZeros(turn.toFixed(3))} seg`;
  const read = (text: string): Result<unknown> => {
    const value = text.trim() === '1/2' ? 0.5 : Number(text.trim() || Number.NaN);
    return Number.isFinite(value)
      ? dispatch(editPiece(edit.setTurn([plan.index], value)))
      : dispatch(refusedEntry(`“${text.trim()}” is not a number of segments; write it like 0.5 or 1/2.`));
  };
  return (
    <TextEntry
      aria-label={`Turn of ring ${plan.index + 1}, in segments`}
      className={cell}
      shown={shown}
      editable={trimZeros(turn.toFixed(4))}
      read={read}
      onProblem={quiet}
    />
  );
}
