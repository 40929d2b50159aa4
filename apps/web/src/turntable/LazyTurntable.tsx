import { lazy, Suspense } from 'react';
import { Link, useParams } from 'react-router';
import type { TurntableProps } from './Turntable.js';
import { hasWebGl } from './webgl.js';

const Turntable = lazy(() => import('./Turntable.js'));

/** The turntable, fetched when it is first shown; a sentence where this browser cannot draw in space. */
export function LazyTurntable(props: TurntableProps) {
  const { id } = useParams();
  if (!hasWebGl())
    return (
      <p className="p-3 text-sm text-quiet">
        This browser cannot draw in space (it has no WebGL), so there is no turntable. The outside pane shows
        the same piece: drag it sideways to turn it.
      </p>
    );
  return (
    <section aria-label="Turntable" className="relative h-full">
      <Suspense fallback={<p className="p-3 text-sm text-quiet">The turntable is coming…</p>}>
        <Turntable {...props} />
      </Suspense>
      {props.size === 'panel' && (
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
