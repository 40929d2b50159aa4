import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';

/** How the bench is looked at. */
export function BenchTools() {
  const dispatch = useActions();
  const { fit, hatched } = useApp((state) => state.session);
  return (
    <div className="flex items-center gap-4 px-3 py-1.5 text-sm text-quiet">
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
      <span className="ml-auto hidden lg:inline">Shift-click selects several rings.</span>
    </div>
  );
}
