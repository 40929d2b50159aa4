import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { FirstStart } from '../guide/FirstStart.js';
import { api, NO_ANSWER, type ShelvedProject, sentencesOf, WHOLE_SHELF } from '../store/api.js';
import { leavePiece } from '../store/leavePiece.js';
import { useActions, useApp } from '../store/store.js';
import { useUnsent } from '../store/useUnsent.js';
import { Button } from '../ui/Button.js';
import { NewPiece } from './NewPiece.js';
import { OpenFile } from './OpenFile.js';
import { ShelfTools } from './ShelfTools.js';
import { ShelvedPiece } from './ShelvedPiece.js';
import { UnsentPieces } from './UnsentPieces.js';

/** Px that the tallest or widest piece takes; the others stand beside it at the same scale. */
const TALLEST = 330;
const WIDEST = 340;
/** From so many pieces on one looks for a piece by its name. */
const MANY = 12;
/** Small pieces are drawn so many times as large. */
const SMALL = 0.45;

/** The way in: the pieces as their own elevations standing on a line, to scale with each other. */
export function Shelf() {
  const [ask, setAsk] = useState(WHOLE_SHELF);
  const { named } = ask;
  const narrowed = [named, ask.wood, ask.kind, ask.state].some((each) => each !== '');
  const small = useApp((state) => state.look.smallShelf);
  const { data, isLoading, isError, hasNextPage, isFetchingNextPage, fetchNextPage, refetch } =
    api.useProjectsInfiniteQuery(ask, { refetchOnMountOrArgChange: true });
  const [trouble, setTrouble] = useState<readonly string[]>([]);
  const [removed, setRemoved] = useState<ShelvedProject | null>(null);
  const [restore] = api.useRestoreProjectMutation();
  const dispatch = useActions();
  const unsent = useUnsent();
  useEffect(() => {
    dispatch(leavePiece());
    // What has just reached the server shows in its order and with its newest drawing.
    if (unsent.sending === 0) void refetch();
  }, [dispatch, refetch, unsent.sending]);
  const pieces = data?.pages.flatMap((page) => page.pieces) ?? [];
  const [{ total, tallestMm, widestMm } = { total: 0, tallestMm: 0, widestMm: 0 }] = data?.pages ?? [];
  const scale =
    (small ? SMALL : 1) * Math.min(TALLEST / Math.max(1, tallestMm), WIDEST / Math.max(1, widestMm));
  const putBack = async ({ id }: ShelvedProject) => {
    const answer = await restore(id);
    if (answer.error) setTrouble(sentencesOf(answer.error));
    else setRemoved(null);
  };
  return (
    <div className="flex h-full flex-col overflow-auto p-6">
      <div className="mb-4 flex flex-wrap items-center gap-3">
        <h1 className="text-xl font-semibold">Shelf</h1>
        {total > MANY && <span className="text-sm text-quiet">{total} pieces</span>}
        <div className="flex-1" />
        <Link to="/removed" className="text-teal underline">
          Removed pieces
        </Link>
        <OpenFile onTrouble={setTrouble} />
        <NewPiece />
      </div>
      {(total > MANY || narrowed) && <ShelfTools ask={ask} setAsk={setAsk} />}
      {trouble.length > 0 && (
        <div role="alert" className="mb-3 rounded bg-rust-wash p-3 text-rust">
          <ul className="list-disc pl-5">
            {trouble.slice(0, 12).map((sentence) => (
              <li key={sentence}>{sentence}</li>
            ))}
          </ul>
        </div>
      )}
      {removed && (
        <p role="status" className="mb-3 flex items-center gap-3 rounded bg-teal-wash p-2">
          {removed.name} was taken off the shelf.
          <Button onClick={() => putBack(removed)}>Put it back</Button>
        </p>
      )}
      <UnsentPieces unsent={unsent} onShelf={pieces} />
      {isError && <p role="alert">{NO_ANSWER}</p>}
      {!isLoading && pieces.length === 0 && !isError && narrowed && (
        <p className="m-auto max-w-md text-center text-quiet">
          {named === '' || ask.wood || ask.kind || ask.state
            ? 'No piece on the shelf is all of that.'
            : `No piece has “${named}” in its name.`}
        </p>
      )}
      {data && total === 0 && !narrowed && <FirstStart />}
      <ul className={`flex flex-wrap items-end px-4 ${small ? 'gap-x-4 gap-y-5' : 'gap-x-8 gap-y-10'}`}>
        {pieces.map((piece) => (
          <ShelvedPiece
            key={piece.id}
            piece={piece}
            scale={scale}
            unsent={unsent.pieces.has(piece.id)}
            onRemoved={() => setRemoved(piece)}
            onTrouble={setTrouble}
          />
        ))}
      </ul>
      {hasNextPage && (
        <Button className="mx-auto mt-8 h-11!" disabled={isFetchingNextPage} onClick={() => fetchNextPage()}>
          {isFetchingNextPage ? 'Fetching…' : `Show more of the ${total - pieces.length} others`}
        </Button>
      )}
    </div>
  );
}
