import { edit, type Form } from '@fellside/core';
import { editPiece } from '../store/edits.js';
import { useActions } from '../store/store.js';
import { Group, Pairs } from '../ui/Group.js';
import { LengthField } from '../ui/LengthField.js';

const KINDS = {
  open: 'open at the top',
  lid: 'body and lid',
  closed: 'closed: two halves joined',
} as const;

/** One body, body and lid parted at a line, or a hollow without a mouth that is joined at it. */
export function LidPanel({ form }: { form: Form }) {
  const dispatch = useActions();
  const { lid } = form;
  const kind = lid === null ? 'open' : lid.joined ? 'closed' : 'lid';
  const choose = (next: keyof typeof KINDS) => {
    if (next === 'open') return dispatch(editPiece(edit.setLid(null)));
    const { heightMm, roofMm } = lid ?? edit.usualLid(form);
    return dispatch(editPiece(edit.setLid({ heightMm, roofMm, ...(next === 'closed' && { joined: true }) })));
  };
  return (
    <Group title="Mouth and lid" folded={!lid}>
      <fieldset className="mb-2 flex flex-col gap-1 text-sm">
        <legend className="sr-only">The hollow is</legend>
        {(Object.keys(KINDS) as (keyof typeof KINDS)[]).map((each) => (
          <label key={each} className="flex items-center gap-1.5">
            <input
              type="radio"
              name="mouth"
              className="accent-teal"
              checked={kind === each}
              onChange={() => choose(each)}
            />
            {KINDS[each]}
          </label>
        ))}
      </fieldset>
      {lid && (
        <Pairs>
          <LengthField
            label={lid.joined ? 'Halves joined at' : 'Lid line, height'}
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
