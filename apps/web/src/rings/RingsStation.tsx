import { edit } from '@fellside/core';
import { useEffect } from 'react';
import { useNavigate, useParams } from 'react-router';
import { Bench } from '../bench/Bench.js';
import { editPiece } from '../store/edits.js';
import { projectOf } from '../store/selectors.js';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';
import { SelectionBar } from './SelectionBar.js';
import { WoodBar } from './WoodBar.js';

/** Rings: how each is made and of which woods. The address keeps the selected ring. */
export function RingsStation() {
  const dispatch = useActions();
  const brush = useApp((state) => state.session.brush);
  useRingInAddress();
  const paint = (ring: number, place: number) => {
    if (brush) dispatch(editPiece(edit.setWood([ring], brush, [place])));
  };
  return (
    <>
      <SelectionBar />
      <WoodBar />
      <Bench unrolled shortLedger={false} onPlace={paint} />
    </>
  );
}

function useRingInAddress(): void {
  const { id, ring } = useParams();
  const dispatch = useActions();
  const navigate = useNavigate();
  const count = useApp(projectOf).rings.length;
  const selected = useApp((state) => state.session.selected.at(-1));
  const asked = Number(ring) - 1;
  useEffect(() => {
    if (Number.isInteger(asked) && asked >= 0 && asked < count) dispatch(session.selected([asked]));
  }, [asked, count, dispatch]);
  useEffect(() => {
    if (selected !== undefined && selected !== asked && selected < count)
      navigate(`/piece/${id}/rings/${selected + 1}`, { replace: true });
  }, [selected, asked, count, id, navigate]);
}
