import { useNavigate } from 'react-router';
import { api } from '../store/api.js';
import { openPiece } from '../store/autosave.js';
import { dropDraft } from '../store/drafts.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';

/** Two windows edited the same piece: both sides are kept until the user says what to do. */
export function Conflict() {
  const { id, other, safety, edited } = useApp((state) => state.piece);
  const [create] = api.useCreateProjectMutation();
  const dispatch = useActions();
  const navigate = useNavigate();
  if (safety !== 'stale' || !other || !edited || !id) return null;
  const keepAsCopy = async () => {
    const { data } = await create({
      ...edited.project,
      name: `${edited.project.name} (my copy)`.slice(0, 80),
    });
    if (!data) return;
    dropDraft(id);
    dispatch(openPiece(data));
    navigate(`/piece/${data.id}/form`);
  };
  const takeOther = () => {
    dropDraft(id);
    dispatch(openPiece(other));
  };
  return (
    <div role="alert" className="flex flex-wrap items-center gap-3 bg-rust-wash px-4 py-2 text-rust">
      <p className="flex-1">
        This piece was changed in another window. Nothing was overwritten: that change is on disk, and your
        edits are still here.
      </p>
      <Button onClick={keepAsCopy}>Keep mine as a copy</Button>
      <Button onClick={takeOther}>Drop mine, show the other</Button>
    </div>
  );
}
