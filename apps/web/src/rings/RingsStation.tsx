import { edit } from '@fellside/core';
import { Outlet } from 'react-router';
import { Bench } from '../bench/Bench.js';
import { editPiece } from '../store/edits.js';
import { projectOf } from '../store/house.js';
import { useActions, useApp } from '../store/store.js';
import { TurntableInset } from '../turntable/TurntableInset.js';
import { SelectionBar } from './SelectionBar.js';
import { useRingInAddress } from './useRingInAddress.js';
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
