import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { sentencesOf } from '../store/api.js';
import { type CheckedBackup, houseApi } from '../store/houseApi.js';
import { leavePiece } from '../store/leavePiece.js';
import { useActions } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { Sheet } from '../ui/Sheet.js';
import { momentOf } from '../ui/times.js';
import { countsSaid } from './counted.js';

/** A backup that was looked through and may be put back; `name` null is the one that was sent. */
export interface Candidate {
  readonly name: string | null;
  readonly checked: CheckedBackup;
}

/** Says what a backup holds and asks before it takes the place of everything here. */
export function RestoreDialog({
  candidate: { name, checked },
  onClose,
}: {
  candidate: Candidate;
  onClose: (sentence: string) => void;
}) {
  const dispatch = useActions();
  const [restore, { isLoading }] = houseApi.useRestoreBackupMutation();
  const [problem, setProblem] = useState('');
  const putBack = async () => {
    dispatch(leavePiece());
    const { data, error } = await restore(name);
    if (error) return setProblem(sentencesOf(error).join(' '));
    onClose(
      `The backup of ${momentOf(checked.madeAt)} is back. What was here before is kept as ${data.replaced}.`,
    );
  };
  return (
    <Dialog.Root open onOpenChange={(now) => !now && !isLoading && onClose('Nothing was changed.')}>
      <Sheet
        title="Put this backup back?"
        says={`It was made ${momentOf(checked.madeAt)}, and was looked through whole.`}
      >
        <p className="mb-2">
          It holds <b>{countsSaid(checked.counts)}</b>.
        </p>
        {checked.unreadable.length > 0 && (
          <p className="mb-2 text-rust">
            {checked.unreadable.slice(0, 5).join(', ')} cannot be read by this Fellside and will come back as
            it is.
          </p>
        )}
        <p className="mb-4">
          It takes the place of <b>everything</b> here. What is here now is kept as a backup of its own first,
          so that this can be taken back.
        </p>
        {problem && (
          <p role="alert" className="mb-3 text-rust">
            {problem}
          </p>
        )}
        <div className="flex justify-end gap-2">
          <Button disabled={isLoading} onClick={() => onClose('Nothing was changed.')}>
            Leave everything as it is
          </Button>
          <Button kind="main" disabled={isLoading} onClick={putBack}>
            {isLoading ? 'Putting it back…' : 'Put it back'}
          </Button>
        </div>
      </Sheet>
    </Dialog.Root>
  );
}
