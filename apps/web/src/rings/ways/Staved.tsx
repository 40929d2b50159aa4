import { edit } from '@fellside/core';
import { editPiece } from '../../store/edits.js';
import { useActions } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { NumberField } from '../../ui/NumberField.js';
import { type ControlsProps, useParams } from './params.js';

/** How far staves lean, by hand or as the wall does. */
export function StavedControls({ targets }: ControlsProps) {
  const dispatch = useActions();
  const { common, set } = useParams('staved', targets);
  return (
    <>
      <NumberField
        label="Lean outwards"
        className="w-24"
        unit="°"
        value={common(({ leanDeg }) => leanDeg)}
        onChange={(leanDeg) => set({ leanDeg })}
      />
      <Button onClick={() => dispatch(editPiece(edit.leanLikeWall(targets)))}>Lean like the wall</Button>
    </>
  );
}
