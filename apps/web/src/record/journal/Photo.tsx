import type { JournalEntry } from '@fellside/core';
import { useState } from 'react';
import { api, photoUrl, sentencesOf } from '../../store/api.js';
import { lookedAt, type PhotoTurn } from '../../store/journal/photos.js';
import { Button } from '../../ui/Button.js';

export type PhotoEntry = Extract<JournalEntry, { kind: 'photo' }>;

/** A photograph of the journal: turned, put on the passport, or seen as it was taken. */
export function Photo({ piece, entry }: { piece: string; entry: PhotoEntry }) {
  const [show] = api.useShowPhotoMutation();
  const [change] = api.useChangeEntryMutation();
  const [trouble, setTrouble] = useState('');
  const original = `${location.origin}/api/photos/${entry.photo}`;
  const turn = async () => {
    const next = ((entry.turn + 90) % 360) as PhotoTurn;
    try {
      const view = await lookedAt(await (await fetch(original)).blob(), next);
      if (!view) return setTrouble('It cannot be read as a picture.');
      await show({ id: entry.photo, view }).unwrap();
      await change({ piece, entry: { ...entry, turn: next } }).unwrap();
    } catch (error) {
      setTrouble(sentencesOf(error).join(' '));
    }
  };
  const cover = () =>
    change({ piece, entry: { ...entry, cover: !entry.cover } })
      .unwrap()
      .catch((error) => setTrouble(sentencesOf(error).join(' ')));
  return (
    <figure className="mt-1">
      <img
        src={photoUrl(entry)}
        alt={entry.text || 'Photograph of the piece'}
        loading="lazy"
        className="max-h-72 max-w-full rounded border border-line"
      />
      <figcaption className="mt-1 flex flex-wrap items-center gap-2">
        <Button onClick={() => void turn()}>Turn</Button>
        <Button aria-pressed={entry.cover} className="aria-pressed:border-teal!" onClick={() => void cover()}>
          {entry.cover ? 'On the passport' : 'Put on the passport'}
        </Button>
        <a className="text-sm text-teal underline" href={original} target="_blank" rel="noreferrer">
          As it was taken
        </a>
        {trouble && (
          <span role="alert" className="text-sm text-rust">
            {trouble}
          </span>
        )}
      </figcaption>
    </figure>
  );
}
