import { api, WHOLE_SHELF } from '../../store/api.js';
import { look } from '../../store/lookSlice.js';
import { useActions, useApp } from '../../store/store.js';
import { Switch } from '../../ui/Switch.js';

/** Other pieces of the shelf that are made in the same hours, with the same clamps. */
export function Together() {
  const dispatch = useActions();
  const open = useApp((state) => state.piece.id);
  const together = useApp((state) => state.look.together);
  const { data } = api.useProjectsInfiniteQuery(WHOLE_SHELF);
  const others = (data?.pages ?? []).flatMap(({ pieces }) => pieces).filter(({ id }) => id !== open);
  if (others.length === 0) return null;
  return (
    <details className="mt-4">
      <summary className="min-h-[44px] cursor-pointer py-2 font-semibold">
        Made in the same hours: {others.filter(({ id }) => together.includes(id)).length} of {others.length}{' '}
        others
      </summary>
      {others.map(({ id, name }) => (
        <div key={id} className="py-1">
          <Switch
            label={name}
            on={together.includes(id)}
            onChange={(on) => dispatch(look.together({ id, on }))}
          />
        </div>
      ))}
    </details>
  );
}
