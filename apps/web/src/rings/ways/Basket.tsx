import { edit } from '@fellside/core';
import { editPiece } from '../../store/edits.js';
import { useActions } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { Choice } from '../../ui/Choice.js';
import { LengthField } from '../../ui/LengthField.js';
import { NumberField } from '../../ui/NumberField.js';
import { type ControlsProps, useParams } from './params.js';

/** Wafers of a basket band: how thick they are and how they lean. */
export function BasketControls({ targets }: ControlsProps) {
  const dispatch = useActions();
  const { common, set } = useParams('basket', targets);
  return (
    <>
      <LengthField
        label="Wafer"
        className="w-20"
        value={common((p) => p.waferMm)}
        onChange={(waferMm) => set({ waferMm })}
      />
      <NumberField
        label="Lean"
        className="w-20"
        unit="°"
        value={common((p) => p.leanDeg)}
        onChange={(leanDeg) => set({ leanDeg })}
      />
      <Choice
        label="Leaning to the"
        className="w-24"
        value={common((p) => p.hand)}
        options={[
          ['left', 'left'],
          ['right', 'right'],
        ]}
        onChange={(hand) => set({ hand })}
      />
      {targets.length >= 3 && (
        <Button onClick={() => dispatch(editPiece(edit.basketBand(targets)))}>
          Weave: turn them half on, top and bottom ring as caps
        </Button>
      )}
    </>
  );
}
