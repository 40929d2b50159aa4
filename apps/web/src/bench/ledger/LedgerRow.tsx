import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { type KeyboardEvent, type ReactNode, useEffect, useRef } from 'react';
import { useNavigate } from 'react-router';
import { moveRingsBy } from '../../store/moves.js';
import { clickRing, lastRingOf, ringAddress, selectedRingsOf } from '../../store/selection.js';
import { session } from '../../store/sessionSlice.js';
import { useActions, useApp } from '../../store/store.js';
import { HELD } from '../../ui/held.js';
import type { LedgerRing } from './ledgerRing.js';

interface LedgerRowProps {
  readonly ring: LedgerRing;
  readonly flagged: boolean;
  readonly height: number;
  readonly last: number;
  readonly children: ReactNode;
}

/**
 * A ring's row. On its number: arrow keys go from ring to ring, Alt with them moves the ring, Enter opens its plan.
 */
export function LedgerRow({ ring: { plan, prepared }, flagged, height, last, children }: LedgerRowProps) {
  const dispatch = useActions();
  const navigate = useNavigate();
  const id = useApp((state) => state.piece.id);
  const selected = useApp((state) => selectedRingsOf(state).includes(plan.index));
  const followed = useApp((state) => state.session.fit && lastRingOf(state) === plan.index);
  const hovered = useApp((state) => state.session.hover?.ring === plan.index);
  const { setNodeRef, setActivatorNodeRef, listeners, transform, transition, isDragging } = useSortable({
    id: plan.id,
  });
  const row = useRef<HTMLTableRowElement>(null);
  useEffect(() => {
    if (followed) row.current?.scrollIntoView?.({ block: 'nearest' });
  }, [followed]);
  const press = (event: KeyboardEvent) => {
    const step = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
    if (event.key === 'Enter') {
      event.preventDefault();
      navigate(`${ringAddress(id, plan.id)}/plan`);
      return;
    }
    const next = Math.min(last, Math.max(0, plan.index + step));
    if (step === 0 || next === plan.index) return;
    event.preventDefault();
    event.stopPropagation();
    const hold = () => document.getElementById(`ring-${next}`)?.focus();
    if (event.altKey) {
      dispatch(moveRingsBy(plan.index, step));
      // After the rows have changed places, or the wrong one would be held.
      requestAnimationFrame(hold);
    } else {
      dispatch(clickRing(next, { shiftKey: event.shiftKey, ctrlKey: false, metaKey: false }));
      hold();
    }
  };
  return (
    <tr
      ref={(element) => {
        setNodeRef(element);
        row.current = element;
      }}
      aria-selected={selected}
      {...HELD}
      style={{ height, transform: CSS.Translate.toString(transform), transition }}
      className={`aria-selected:bg-teal-wash ${isDragging ? 'relative z-10 bg-raised opacity-80' : ''} ${hovered && !selected ? 'bg-hover' : ''}`}
      onPointerEnter={() => dispatch(session.hovered({ ring: plan.index, place: null }))}
      onClick={(event) => {
        if (event.target instanceof Element && event.target.closest('input, select, [id^="cell-"]')) return;
        dispatch(clickRing(plan.index, event));
      }}
      onDoubleClick={(event) => {
        if (event.target instanceof Element && event.target.closest('input, select, [id^="cell-"]')) return;
        navigate(`${ringAddress(id, plan.id)}/plan`);
      }}
    >
      <th scope="row" className="px-1 text-left font-normal">
        <button
          type="button"
          ref={setActivatorNodeRef}
          {...listeners}
          id={`ring-${plan.index}`}
          className={`w-full touch-none rounded px-0.5 text-left ${selected ? 'font-bold text-teal' : 'text-quiet'}`}
          onKeyDown={press}
          title="Drag to move the ring; Enter opens its plan"
          aria-label={`Ring ${plan.index + 1}${flagged ? ', look at this' : ''}`}
        >
          {plan.index + 1}
          {flagged && <span className="text-rust"> ▲</span>}
          {!flagged && prepared.ring.measured && <span title="measured"> ✓</span>}
        </button>
      </th>
      {children}
    </tr>
  );
}
