import { formatExact, formatStop, type Mm } from '@fellside/core';
import { unitsOf } from '../store/house.js';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';
import { Switch } from '../ui/Switch.js';

/** Words for what a stop is set to: rounded as a stop is set, or exact where that is asked. */
export function useStopSaid(): (length: Mm) => string {
  const units = useApp(unitsOf);
  const exact = useApp((state) => state.session.exact);
  return (length) => (exact ? formatExact(length, units) : formatStop(length, units));
}

/** Asks for exact figures instead of those that a stop is set to. */
export function ExactFigures() {
  const dispatch = useActions();
  const exact = useApp((state) => state.session.exact);
  return <Switch label="Exact figures" on={exact} onChange={(on) => dispatch(session.exactShown(on))} />;
}
