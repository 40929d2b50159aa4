import { type Inlay, mm } from '@fellside/core';
import { lastRingOf } from '../../store/selection.js';
import { preparedOf } from '../../store/selectors.js';
import { useApp } from '../../store/store.js';

/** Seen at the middle of the right half of the outside, where its pane shows the piece from the front (degrees). */
const ASIDE = 30;

/** Where a new inlay is placed: in the middle of the ring selected last, at the side that is looked at. */
export function useMiddle(): Partial<Pick<Inlay, 'heightMm' | 'towardDeg'>> {
  const prepared = useApp(preparedOf);
  const last = useApp(lastRingOf);
  const view = useApp((state) => state.session.view);
  const towardDeg = (Math.round((view * 180) / Math.PI + ASIDE) + 720) % 360;
  const ring = prepared.ok && last !== undefined ? prepared.value.rings[last] : undefined;
  if (!prepared.ok || !ring || ring.stands.bottomMm >= prepared.value.vessel.heightMm) return { towardDeg };
  const top = Math.min(prepared.value.vessel.heightMm, ring.stands.topMm);
  return { towardDeg, heightMm: mm((ring.stands.bottomMm + top) / 2) };
}
