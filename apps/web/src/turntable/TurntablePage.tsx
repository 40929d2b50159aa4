import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { strokeAt } from '../pattern/paint.js';
import { useActions } from '../store/store.js';
import { LazyTurntable } from './LazyTurntable.js';

/** The turntable in place of the bench; painting goes on. */
export function TurntablePage() {
  const { id } = useParams();
  const dispatch = useActions();
  const paint = useMemo(
    () => (ring: number, place: number) => dispatch(strokeAt({ ring, place })),
    [dispatch],
  );
  return (
    <div className="relative min-h-96 flex-1 max-wide:h-[70dvh] max-wide:flex-none">
      <LazyTurntable size="large" onPlace={paint} />
      <Link
        to={`/piece/${id}/pattern`}
        className="absolute top-1 right-2 rounded bg-raised/80 px-2 py-0.5 text-sm text-teal underline"
      >
        Back to the bench
      </Link>
    </div>
  );
}
