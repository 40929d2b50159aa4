import { lazy, Suspense, useContext } from 'react';
import { Link, useParams } from 'react-router';
import { ShownInstead } from '../surfaces/shownPiece.js';
import { PaneBoundary } from '../ui/PaneBoundary.js';
import { Resting } from './Resting.js';
import type { TurntableProps } from './Turntable.js';
import { useAbility } from './useAbility.js';

const Turntable = lazy(() => import('./Turntable.js'));

const COMING = <p className="p-3 text-sm text-quiet">The turntable is coming…</p>;

/** The turntable, fetched when all else is drawn; a sentence where this browser cannot draw in space. */
export function LazyTurntable(props: TurntableProps) {
  const { id } = useParams();
  const able = useAbility();
  const instead = useContext(ShownInstead);
  if (!able) return COMING;
  if (!able.webgl)
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
