import { ChevronRight } from 'lucide-react';
import { look } from '../store/lookSlice.js';
import { useActions, useApp } from '../store/store.js';
import { LazyTurntable } from './LazyTurntable.js';
import { useAbility } from './useAbility.js';

/** A small turntable in the corner of a pane, where there can be one; it can be put away, which the browser remembers. */
export function TurntableInset() {
  const dispatch = useActions();
  const shown = useApp((state) => state.look.inset);
  if (!useAbility()?.webgl) return null;
  return (
    <div className="sticky bottom-0 z-5 flex h-0 justify-end">
      {shown ? (
        <div className="absolute right-1 bottom-1 h-30 w-30 overflow-hidden rounded border border-line bg-pane">
          <LazyTurntable size="inset" />
          <button
            type="button"
            aria-label="Put the small turntable away"
            className="absolute top-0.5 right-0.5 grid h-6 w-6 place-items-center rounded bg-raised/80 text-quiet hover:text-ink"
            onClick={() => dispatch(look.inset(false))}
          >
            ×
          </button>
        </div>
      ) : (
        <button
          type="button"
          className="absolute right-1 bottom-1 rounded border border-line bg-pane px-2 py-1 text-xs text-quiet hover:text-ink"
          onClick={() => dispatch(look.inset(true))}
        >
          Turntable
        </button>
      )}
    </div>
  );
}

/** The small turntable at the head of a panel. */
export function FormTurntable() {
  const dispatch = useActions();
  const shown = useApp((state) => state.look.inset);
  return (
    <details
      open={shown}
      className="group/part mb-2 border-b border-line pb-3"
      onToggle={({ currentTarget: { open } }) => {
        if (open !== shown) dispatch(look.inset(open));
      }}
    >
      <summary className="mb-1 cursor-pointer list-none font-semibold">
        <ChevronRight
          aria-hidden
          size={14}
          className="mr-1 -ml-1 inline text-quiet group-open/part:rotate-90"
        />
        Turntable
      </summary>
      {shown && (
        <div className="h-44 overflow-hidden rounded border border-line">
          <LazyTurntable size="inset" />
        </div>
      )}
    </details>
  );
}
