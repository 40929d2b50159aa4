import { edit, type Form, mm } from '@fellside/core';
import { editPiece } from '../store/edits.js';
import { useActions } from '../store/store.js';
import { Group, Pairs } from '../ui/Group.js';
import { LengthField } from '../ui/LengthField.js';
import { Switch } from '../ui/Switch.js';

/** The hollow turned into the bottom, so that the piece stands on a rim. */
export function RecessPanel({ form }: { form: Form }) {
  const dispatch = useActions();
  const { recess } = form;
  return (
    <Group title="Foot recess" folded={!recess}>
      <Switch
        label="Hollow the bottom"
        on={recess !== null}
        onChange={(on) => dispatch(editPiece(edit.setRecess(on ? edit.usualRecess(form) : null)))}
      />
      {recess && (
        <Pairs>
          <LengthField
            label="Recess diameter"
            value={mm(2 * recess.radiusMm)}
            onChange={(across) =>
              dispatch(editPiece(edit.setRecess({ ...recess, radiusMm: mm(across / 2) })))
            }
          />
          <LengthField
            label="Recess depth"
            value={recess.depthMm}
            onChange={(depthMm) => dispatch(editPiece(edit.setRecess({ ...recess, depthMm })))}
          />
        </Pairs>
      )}
    </Group>
  );
}
