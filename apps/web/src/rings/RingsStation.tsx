import { edit } from '@fellside/core';
import { useEffect, useRef } from 'react';
import { Outlet, useNavigate, useParams } from 'react-router';
import { Bench } from '../bench/Bench.js';
import { editPiece } from '../store/edits.js';
import { projectOf } from '../store/selectors.js';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';
import { TurntableInset } from '../turntable/TurntableInset.js';
import { SelectionBar } from './SelectionBar.js';
import { WoodBar } from './WoodBar.js';

/** Rings: how each is made and of which woods. The address keeps the selected ring. */
export function RingsStation() {
  const dispatch = useActions();
  const brush = useApp((state) => state.session.brush);
  const count = useApp(projectOf).rings.length;
  useRingInAddress();
  const paint = (ring: number, place: number) => {
    if (!brush) return;
    const band = ring - count;
    dispatch(
      editPiece(band < 0 ? edit.setWood([ring], brush, [place]) : edit.setSlant(band, { wood: brush })),
    );
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
  const { id, ring } = useParams();
  const dispatch = useActions();
  const navigate = useNavigate();
  const count = useApp(projectOf).rings.length;
  const selected = useApp((state) => state.session.selected.at(-1));
  const asked = Number(ring) - 1;
  /** What address and selection were when they were last looked at. */
  const seen = useRef<{ asked: number; selected: number | undefined }>({ asked: Number.NaN, selected });
  useEffect(() => {
    const before = seen.current;
    seen.current = { asked, selected };
    if (asked === selected) return;
    const known = asked >= 0 && asked < count;
    if (known && asked !== before.asked) dispatch(session.selected([asked]));
    else if (selected !== before.selected)
      navigate(selected === undefined ? `/piece/${id}/rings` : `/piece/${id}/rings/${selected + 1}`, {
        replace: true,
      });
  }, [asked, selected, count, id, dispatch, navigate]);
}
