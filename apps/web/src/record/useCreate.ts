import type { Project } from '@fellside/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api, sentencesOf } from '../store/api.js';

/** Puts new pieces on the shelf, all or none, and opens the first. */
export function useCreate() {
  const navigate = useNavigate();
  const [create] = api.useCreateManyMutation();
  const [trouble, setTrouble] = useState<string[]>([]);
  const go = (pieces: readonly Project[]) => {
    create(pieces)
      .unwrap()
      .then(({ id }) => navigate(`/piece/${id}/form`))
      .catch((error) => setTrouble(sentencesOf(error)));
  };
  return { go, trouble };
}
