import { edit } from '@fellside/core';
import { editPiece } from '../store/edits.js';
import { useActions } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { Group } from '../ui/Group.js';

/** A form fitted into the rings as they are. */
export function FitToRings() {
  const dispatch = useActions();
  return (
    <Group title="Fit into the rings" folded>
      <p className="mb-2 text-xs text-quiet">
        Draws the outside within what the rings give, as wide as they allow or bending as little as can be.
      </p>
      <div className="flex gap-2">
        <Button onClick={() => dispatch(editPiece(edit.fitForm('tightest')))}>Tightest</Button>
        <Button onClick={() => dispatch(editPiece(edit.fitForm('smoothest')))}>Smoothest</Button>
      </div>
    </Group>
  );
}
