import { Minus, Plus } from 'lucide-react';
import { BenchExports } from '../pictures/BenchExports.js';
import type { SectionRef } from '../pictures/drawnSection.js';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';
import { ZOOM_STEP } from './useZoom.js';

/** How the bench is looked at. */
export function BenchTools({ unrolled, section }: { unrolled: boolean; section: SectionRef }) {
  const dispatch = useActions();
  const fit = useApp((state) => state.session.fit);
  const hatched = useApp((state) => state.session.hatched);
  const zoom = useApp((state) => state.session.zoom);
  const side = useApp((state) => state.session.side);
  return (
    <div className="flex items-center gap-4 overflow-x-auto px-3 py-1.5 text-sm whitespace-nowrap text-quiet *:shrink-0">
      <label className="flex items-center gap-1.5">
        <input
          type="checkbox"
          className="accent-teal"
          checked={fit}
          onChange={(event) => dispatch(session.fitted(event.target.checked))}
        />
        Whole piece in view
      </label>
      <label className="flex items-center gap-1.5">
        <input
          type="checkbox"
          className="accent-teal"
          checked={hatched}
          onChange={(event) => dispatch(session.hatched(event.target.checked))}
        />
        Hatches instead of colours
      </label>
      <span className="flex items-center gap-1">
        <Zoom label="Smaller" factor={1 / ZOOM_STEP}>
          <Minus aria-hidden size={12} />
        </Zoom>
        <button
          type="button"
          className="w-12 text-center hover:text-ink"
          title="As at first (0)"
          onClick={() => dispatch(session.zoomed(1))}
        >
          {Math.round(100 * zoom)} %
        </button>
        <Zoom label="Larger" factor={ZOOM_STEP}>
          <Plus aria-hidden size={12} />
        </Zoom>
      </span>
      {unrolled && (
        <label className="flex items-center gap-1.5">
          Unrolled
          <select
            aria-label="Side of the wall that is unrolled"
            className="h-7 rounded border border-line bg-raised px-1 text-ink"
            value={side}
            onChange={(event) =>
              dispatch(session.painting({ side: event.target.value as 'outside' | 'inside' }))
            }
          >
            <option value="outside">outside</option>
            <option value="inside">inside</option>
          </select>
        </label>
      )}
      <BenchExports section={section} />
      <span className="ml-auto hidden 2xl:inline">
        Shift-click selects several rings · Ctrl with the wheel, or + and −, zooms
      </span>
    </div>
  );
}

function Zoom({ label, factor, children }: { label: string; factor: number; children: React.ReactNode }) {
  const dispatch = useActions();
  const zoom = useApp((state) => state.session.zoom);
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      className="rounded border border-line bg-raised p-1 hover:border-quiet"
      onClick={() => dispatch(session.zoomed(zoom * factor))}
    >
      {children}
    </button>
  );
}
