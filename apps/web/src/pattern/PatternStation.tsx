import { useMemo } from 'react';
import { Outlet, useMatch } from 'react-router';
import { Bench } from '../bench/Bench.js';
import { preparedOf } from '../store/selectors.js';
import { useActions, useApp } from '../store/store.js';
import { LazyTurntable } from '../turntable/LazyTurntable.js';
import { ContrastPanel } from './ContrastPanel.js';
import { KeptPatterns } from './KeptPatterns.js';
import { LetterPanel } from './LetterPanel.js';
import { MotifPanel } from './MotifPanel.js';
import { PaintBar } from './PaintBar.js';
import { PicturePanel } from './PicturePanel.js';
import { strokeAt } from './paint.js';
import { TonePanel } from './TonePanel.js';
import { useBrush } from './useBrush.js';
import { usePatternKeys } from './usePatternKeys.js';

const NO_RINGS: never[] = [];

/** Pattern: woods over the rings, by brush, motif, letters and pictures; flat beside round. */
export function PatternStation() {
  const dispatch = useActions();
  const prepared = useApp(preparedOf);
  const rings = prepared.ok ? prepared.value.rings : NO_RINGS;
  const brush = useBrush(rings);
  const large = useMatch('/piece/:id/pattern/turntable') !== null;
  usePatternKeys();
  const paint = useMemo(
    () => (ring: number, place: number) => dispatch(strokeAt({ ring, place })),
    [dispatch],
  );
  return (
    <div className="flex min-h-0 flex-1 max-wide:flex-none max-wide:flex-col">
      <div
        className={`flex min-h-0 min-w-0 flex-1 flex-col max-wide:flex-none ${large ? 'overflow-y-auto' : ''}`}
      >
        <PaintBar />
        {large ? (
          <Outlet />
        ) : (
          <Bench grab="nothing" unrolled shortLedger ledger={false} onPlace={paint} brush={brush} />
        )}
      </div>
      <aside
        aria-label="Pattern"
        className="flex w-80 shrink-0 flex-col overflow-y-auto border-l border-line bg-pane max-wide:w-full max-wide:border-t max-wide:border-l-0"
      >
        {!large && (
          <div className="h-72 shrink-0 border-b border-line">
            <LazyTurntable size="panel" onPlace={paint} />
          </div>
        )}
        <div className="p-3">
          <MotifPanel />
          <TonePanel />
          <ContrastPanel />
          <LetterPanel />
          <PicturePanel />
          <KeptPatterns />
        </div>
      </aside>
    </div>
  );
}
