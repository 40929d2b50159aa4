import { edit, ringOwner } from '@fellside/core';
import { useEffect, useRef } from 'react';
import { Outlet, useNavigate, useParams } from 'react-router';
import { Bench } from '../bench/Bench.js';
import { editPiece } from '../store/edits.js';
import { projectOf } from '../store/house.js';
import { lastRingOf, ringAddress } from '../store/selection.js';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';
import { TurntableInset } from '../turntable/TurntableInset.js';
import { SelectionBar } from './SelectionBar.js';
import { WoodBar } from './WoodBar.js';

/** Rings: how each is made and of which woods. The address keeps the selected ring. */
export function RingsStation() {
  const dispatch = useActions();
  const brush = useApp((state) => state.session.brush);
  const count = useApp((state) => projectOf(state).rings.length);
  const bands = useApp((state) => projectOf(state).slants?.length ?? 0);
  useRingInAddress();
  const paint = (ring: number, place: number) => {
    if (!brush) return;
    const band = ring - count;
    const inlay = band - bands;
    if (band < 0) dispatch(editPiece(edit.setWood([ring], brush, [place])));
    else if (inlay < 0) dispatch(editPiece(edit.setSlantWood(band, brush, [place])));
    else if (place === 0) dispatch(editPiece(edit.setInlay(inlay, { wood: brush })));
  };
  return (
    <>
      <SelectionBar />
      <WoodBar />
      <Bench grab="edges" unrolled shortLedger={false} onPlace={paint} inset={<TurntableInset />} />
      <Outlet />
    </>
  );
}

/** Keeps the ring last selected and the one in the address the same, whichever changes. */
function useRingInAddress(): void {
  const { id, ring: asked } = useParams();
  const dispatch = useActions();
  const navigate = useNavigate();
  const rings = useApp((state) => projectOf(state).rings);
  const last = useApp(lastRingOf);
  const selected = last === undefined ? undefined : rings[last]!.id;
  /** What address and selection were when they were last looked at. */
  const seen = useRef<{ asked: string | undefined; selected: string | undefined }>({
    asked: undefined,
    selected,
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
