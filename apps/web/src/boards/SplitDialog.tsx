import { type Board, formatLength, type Mm, mm, sentenceIn, splitBoard } from '@fellside/core';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { api, sentencesOf } from '../store/api.js';
import { shopOf } from '../store/house.js';
import { useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { controlClass, Field } from '../ui/Field.js';
import { LengthField } from '../ui/LengthField.js';
import { Sheet } from '../ui/Sheet.js';

/** A board sawn in two, across or along; its defects go with the part in which they lie. */
export function SplitDialog({ board, onClose }: { board: Board; onClose: () => void }) {
  const { units, kerfMm, ripKerfMm } = useApp(shopOf);
  const [replace] = api.useReplaceBoardsMutation();
  const [way, setWay] = useState<'across' | 'along'>('across');
  const [at, setAt] = useState<Mm>(mm(board.lengthMm / 2));
  const [trouble, setTrouble] = useState('');
  const saw = () => {
    const parts = splitBoard(board, way, at, way === 'across' ? kerfMm : ripKerfMm);
    if (!parts.ok)
      return setTrouble(parts.reasons.map(({ message }) => sentenceIn(message, units)).join(' '));
    replace({ remove: [board.id], add: parts.value })
      .unwrap()
      .then(onClose)
      .catch((error) => setTrouble(sentencesOf(error).join(' ')));
  };
  return (
    <Dialog.Root open onOpenChange={(now) => !now && onClose()}>
      <Sheet
        title="Split a board"
        says={`It is ${formatLength(board.lengthMm, units)} long and ${formatLength(board.widthMm, units)} wide. The kerf is lost from the second part.`}
      >
        <div className="flex items-end gap-3">
          <Field label="Sawn">
            {(control) => (
              <select
                {...control}
                className={`${controlClass} w-40`}
                value={way}
                onChange={(event) => {
                  const now = event.target.value as 'across' | 'along';
                  setWay(now);
                  setAt(mm((now === 'across' ? board.lengthMm : board.widthMm) / 2));
                }}
              >
                <option value="across">across its length</option>
                <option value="along">along its width</option>
              </select>
            )}
          </Field>
          <LengthField
            label="First part"
            value={at}
            onChange={(value) => ({ ok: true, value: setAt(value) })}
          />
        </div>
        {trouble && (
          <p role="alert" className="mt-3 text-rust">
            {trouble}
          </p>
        )}
        <div className="mt-4 flex justify-end gap-2">
          <Button onClick={onClose}>Cancel</Button>
          <Button kind="main" onClick={saw}>
            Split it
          </Button>
        </div>
      </Sheet>
    </Dialog.Root>
  );
}
