import { ringOwner } from '@fellside/core';
import { useEffect, useRef } from 'react';
import { useNavigate, useParams } from 'react-router';
import { projectOf } from '../store/house.js';
import { lastRingOf, ringAddress } from '../store/selection.js';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';

/** Keeps the ring last selected and the one in the address the same, whichever changes. */
export function useRingInAddress(): void {
  const { id, ring: asked } = useParams();
  const dispatch = useActions();
  const navigate = useNavigate();
  const rings = useApp((state) => projectOf(state).rings);
  const last = useApp(lastRingOf);
  const selected = last === undefined ? undefined : rings[last]!.id;
  /** What address and selection were when they were last looked at. */
  const seen = useRef<{ asked: string | undefined; selected: string | undefined }>({
    asked: undefined,
    selected: undefined,
  });
  useEffect(() => {
    const before = seen.current;
    seen.current = { asked, selected };
    if (asked === selected) return;
    const known = asked !== undefined && rings.some((ring) => ring.id === asked);
    if (known && asked !== before.asked) dispatch(session.selected([ringOwner(asked)]));
    else if (selected !== before.selected) navigate(ringAddress(id, selected), { replace: true });
  }, [asked, selected, rings, id, dispatch, navigate]);
}
