import { type Prepared, prepare, sentenceIn } from '@fellside/core';
import { type ChangeEvent, useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { api, type ShelvedProject, sentencesOf } from '../store/api.js';
import { piece } from '../store/pieceSlice.js';
import { unitsOf } from '../store/selectors.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { NewPiece } from './NewPiece.js';
import { ShelvedPiece } from './ShelvedPiece.js';

/** Px that the tallest or widest piece takes; the others stand beside it at the same scale. */
const TALLEST = 330;
const WIDEST = 340;

/** The way in: the pieces as their own elevations standing on a line, to scale with each other. */
export function Shelf() {
  const {
    data: projects,
    isLoading,
    isError,
    refetch,
  } = api.useProjectsQuery(undefined, { refetchOnMountOrArgChange: true });
  const units = useApp(unitsOf);
  const [trouble, setTrouble] = useState<string[]>([]);
  useLeavePiece(refetch);
  const [removed, setRemoved] = useState<ShelvedProject | null>(null);
  const [restore] = api.useRestoreProjectMutation();
  const pieces = useMemo(() => (projects ?? []).flatMap((saved) => drawable(saved)), [projects]);
  const height = Math.max(1, ...pieces.map(({ prepared }) => prepared.vessel.heightMm));
  const width = Math.max(
    1,
    ...pieces.map(({ prepared }) => 2 * Math.max(...prepared.rings.map(({ need }) => need.outerMm))),
  );
  const scale = Math.min(TALLEST / height, WIDEST / width);
  return (
    <div className="flex h-full flex-col overflow-auto p-6">
      <div className="mb-4 flex items-center gap-3">
        <h1 className="text-xl font-semibold">Shelf</h1>
        <div className="flex-1" />
        <OpenFile onTrouble={setTrouble} />
        <NewPiece />
      </div>
      {trouble.length > 0 && (
        <div role="alert" className="mb-3 rounded bg-rust-wash p-3 text-rust">
          <p className="font-semibold">The file was not taken in:</p>
          <ul className="list-disc pl-5">
            {trouble.slice(0, 12).map((sentence) => (
              <li key={sentence}>{sentenceIn(sentence, units)}</li>
            ))}
          </ul>
        </div>
      )}
      {removed && (
        <p role="status" className="mb-3 flex items-center gap-3 rounded bg-teal-wash p-2">
          {removed.document.name} was taken off the shelf.
          <Button onClick={() => restore(removed.id).then(() => setRemoved(null))}>Put it back</Button>
        </p>
      )}
      {isError && <p role="alert">The server does not answer. Is Fellside still running?</p>}
      {!isLoading && pieces.length === 0 && !isError && (
        <p className="m-auto max-w-md text-center text-quiet">
          Nothing on the shelf yet. Start with “New piece”: choose a shape, give its size, and the rings are
          laid out for you.
        </p>
      )}
      <ul className="flex flex-wrap items-end gap-x-8 gap-y-10 px-4">
        {pieces.map(({ saved, prepared }) => (
          <ShelvedPiece
            key={saved.id}
            saved={saved}
            prepared={prepared}
            scale={scale}
            onRemoved={() => setRemoved(saved)}
          />
        ))}
      </ul>
    </div>
  );
}

/** Coming to the shelf puts the open piece back on it, as soon as it is saved. */
function useLeavePiece(refetch: () => void): void {
  const dispatch = useActions();
  const open = useApp((state) => state.piece.id !== null);
  const saved = useApp((state) => state.piece.safety === 'saved');
  useEffect(() => {
    if (!open || !saved) return;
    dispatch(piece.closed());
    refetch();
  }, [open, saved, dispatch, refetch]);
}

function drawable(saved: ShelvedProject): { saved: ShelvedProject; prepared: Prepared }[] {
  const prepared = prepare(saved.document);
  return prepared.ok ? [{ saved, prepared: prepared.value }] : [];
}

/** Takes in a project file. */
function OpenFile({ onTrouble }: { onTrouble: (sentences: string[]) => void }) {
  const input = useRef<HTMLInputElement>(null);
  const navigate = useNavigate();
  const [take] = api.useImportProjectMutation();
  const chosen = async ({ currentTarget }: ChangeEvent<HTMLInputElement>) => {
    const file = currentTarget.files?.[0];
    currentTarget.value = '';
    if (!file) return;
    const answer = await take(await file.text());
    if (answer.data) navigate(`/piece/${answer.data.id}/form`);
    else onTrouble(sentencesOf(answer.error));
  };
  return (
    <>
      <input
        ref={input}
        type="file"
        accept=".json,application/json"
        className="hidden"
        aria-label="Project file"
        onChange={chosen}
      />
      <Button onClick={() => input.current?.click()}>Open a file</Button>
    </>
  );
}
