import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, NO_ANSWER, sentencesOf } from '../store/api.js';
import { unitsOf } from '../store/house.js';
import { look } from '../store/lookSlice.js';
import { useActions, useApp } from '../store/store.js';

/** Begins the guided first piece: makes it, opens it and shows the guide; and what went wrong with that, in sentences. */
export function useBegin() {
  const dispatch = useActions();
  const navigate = useNavigate();
  const units = useApp(unitsOf);
  const [create] = api.useCreateProjectMutation();
  const [trouble, setTrouble] = useState<readonly string[]>([]);
  const begin = async () => {
    const first = await import('./firstPiece.js').catch(() => null);
    if (!first) return setTrouble([NO_ANSWER]);
    const made = first.firstPiece(units);
    if (!made.ok) return;
    const answer = await create(made.value);
    if (!answer.data) return setTrouble(sentencesOf(answer.error));
    dispatch(look.guided({ piece: answer.data.id, step: 0, open: true }));
    navigate(`/piece/${answer.data.id}/form`);
  };
  return { begin, trouble };
}
