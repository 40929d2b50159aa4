import { formatLength, mm } from '@fellside/core';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { Link } from 'react-router';
import { Elevation } from '../pictures/Elevation.js';
import { api, drawingUrl, NO_ANSWER, type ShelvedProject, sentencesOf, WHOLE_SHELF } from '../store/api.js';
import { unitsOf, usualFinishOf } from '../store/house.js';
import { useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { Sheet } from '../ui/Sheet.js';
import { ageOf, momentOf } from '../ui/times.js';

/** Pieces that were taken off the shelf: to be put back, or taken away for good. */
export function RemovedPage() {
  const { data, isError, hasNextPage, fetchNextPage } = api.useProjectsInfiniteQuery(
    { ...WHOLE_SHELF, removed: true },
    { refetchOnMountOrArgChange: true },
  );
  const [restore] = api.useRestoreProjectMutation();
  const [remove] = api.useRemoveForGoodMutation();
  const [asked, setAsked] = useState<ShelvedProject | null>(null);
  const [said, setSaid] = useState('');
  const pieces = data?.pages.flatMap((page) => page.pieces) ?? [];
  const putBack = async ({ id, name }: ShelvedProject) => {
    const answer = await restore(id);
    setSaid(answer.error ? sentencesOf(answer.error).join(' ') : `${name} is back on the shelf.`);
  };
  const removeForGood = async ({ id, name }: ShelvedProject) => {
    setAsked(null);
    const answer = await remove(id);
    setSaid(answer.error ? sentencesOf(answer.error).join(' ') : `${name} is gone for good.`);
  };
  return (
    <div className="h-full overflow-auto p-6">
      <div className="mb-1 flex items-center gap-4">
        <h1 className="text-xl font-semibold">Removed pieces</h1>
        <Link to="/" className="text-teal underline">
          To the shelf
        </Link>
      </div>
      <p className="mb-4 max-w-prose text-quiet">
        What was taken off the shelf stays here with its versions until you take it away for good.
      </p>
      <p role="status" className="mb-2">
        {said}
      </p>
      {isError && <p role="alert">{NO_ANSWER}</p>}
      {data && pieces.length === 0 && <p className="text-quiet">Nothing has been taken off the shelf.</p>}
      <ul className="max-w-4xl">
        {pieces.map((piece) => (
          <Removed
            key={piece.id}
            piece={piece}
            onPutBack={() => void putBack(piece)}
            onRemove={() => setAsked(piece)}
          />
        ))}
      </ul>
      {hasNextPage && <Button onClick={() => fetchNextPage()}>Show more</Button>}
      {asked && (
        <Dialog.Root open onOpenChange={(now) => !now && setAsked(null)}>
          <Sheet
            title={`Take ${asked.name} away for good?`}
            says="The piece and all its earlier versions are deleted. Only a backup can bring them back."
          >
            <div className="flex justify-end gap-2">
              <Button onClick={() => setAsked(null)}>Leave it here</Button>
              <Button kind="main" onClick={() => void removeForGood(asked)}>
                Take it away for good
              </Button>
            </div>
          </Sheet>
        </Dialog.Root>
      )}
    </div>
  );
}

function Removed({
  piece,
  onPutBack,
  onRemove,
}: {
  piece: ShelvedProject;
  onPutBack: () => void;
  onRemove: () => void;
}) {
  const units = useApp(unitsOf);
  const usual = useApp(usualFinishOf);
  const { name, heightMm, diameterMm, removedAt, unreadable } = piece;
  return (
    <li className="flex flex-wrap items-center gap-4 border-b border-line py-2">
      <Elevation url={drawingUrl(piece, usual)} className="h-16 w-16 object-contain" />
      <div className="min-w-48 flex-1">
        <p className="font-semibold">{name}</p>
        <p className="text-sm text-quiet">
          {formatLength(mm(heightMm ?? 0), units)} × {formatLength(mm(diameterMm ?? 0), units)}
          {removedAt && ` · removed ${ageOf(removedAt)}, ${momentOf(removedAt)}`}
        </p>
        {unreadable && <p className="text-sm text-rust">{unreadable}</p>}
      </div>
      <Button onClick={onPutBack} aria-label={`Put ${name} back`}>
        Put back
      </Button>
      <Button onClick={onRemove} aria-label={`Take ${name} away for good`}>
        Take away for good…
      </Button>
    </li>
  );
}
