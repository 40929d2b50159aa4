import { edit, type Form } from '@fellside/core';
import { editPiece } from '../store/edits.js';
import { useActions } from '../store/store.js';
import { Group, Pairs } from '../ui/Group.js';
import { LengthField } from '../ui/LengthField.js';
import { Switch } from '../ui/Switch.js';

/** One body, or body and lid parted at a line. */
export function LidPanel({ form }: { form: Form }) {
  const dispatch = useActions();
  const { lid } = form;
  return (
    <Group title="Lid" folded={!lid}>
      <Switch
        label="Body and lid"
        on={lid !== null}
        onChange={(on) => dispatch(editPiece(edit.setLid(on ? edit.usualLid(form) : null)))}
      />
      {lid && (
        <Pairs>
          <LengthField
            label="Lid line, height"
            value={lid.heightMm}
            onChange={(heightMm) => dispatch(editPiece(edit.setLid({ ...lid, heightMm })))}
          />
          <LengthField
            label="Solid from the top"
            value={lid.roofMm}
            onChange={(roofMm) => dispatch(editPiece(edit.setLid({ ...lid, roofMm })))}
          />
        </Pairs>
      )}
    </Group>
  );
}
