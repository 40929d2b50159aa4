import { lazy, Suspense, useContext, useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import { ShownInstead } from '../surfaces/shownPiece.js';
import { PaneBoundary } from '../ui/PaneBoundary.js';
import { Resting } from './Resting.js';
import type { TurntableProps } from './Turntable.js';
import { ability } from './webgl.js';

const Turntable = lazy(() => import('./Turntable.js'));

/** Longest wait for the browser to have nothing else to do, ms. */
const PATIENCE = 2000;

/** True once the browser has drawn what matters more. */
function useIdle(): boolean {
  const [idle, setIdle] = useState(false);
  useEffect(() => {
    if (typeof requestIdleCallback === 'undefined') {
      const later = setTimeout(() => setIdle(true), 300);
      return () => clearTimeout(later);
    }
    const asked = requestIdleCallback(() => setIdle(true), { timeout: PATIENCE });
    return () => cancelIdleCallback(asked);
  }, []);
  return idle;
}

const COMING = <p className="p-3 text-sm text-quiet">The turntable is coming…</p>;

/** The turntable, fetched when all else is drawn; a sentence where this browser cannot draw in space. */
export function LazyTurntable(props: TurntableProps) {
  const { id } = useParams();
  const idle = useIdle();
  const instead = useContext(ShownInstead);
  if (!idle) return COMING;
  if (!ability().webgl)
    return (
      <p className="p-3 text-sm text-quiet">
        This browser cannot draw in space (it has no WebGL), so there is no turntable. The outside pane shows
        the same piece: drag it sideways to turn it.
      </p>
    );
  return (
    <section aria-label="Turntable" className="relative h-full">
      <PaneBoundary name="The turntable">
        <Suspense fallback={COMING}>
          {props.size === 'large' ? (
            <Turntable {...props} />
          ) : (
            <Resting>
              <Turntable {...props} />
            </Resting>
          )}
        </Suspense>
      </PaneBoundary>
      {props.size === 'panel' && !instead && (
        <Link
          to={`/piece/${id}/pattern/turntable`}
          className="absolute top-1 right-2 rounded bg-raised/80 px-2 py-0.5 text-sm text-teal underline"
        >
          Larger
        </Link>
      )}
    </section>
  );
}
