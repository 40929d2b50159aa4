import type { JournalEntry } from '@fellside/core';
import { useState } from 'react';
import { photoUrl } from '../store/api.js';
import { Choice } from '../ui/Choice.js';
import type { PhotoEntry } from './journal/Photo.js';

/** A photograph of the piece beside its plan: the one of the passport first, any other by choice; nothing while there is none. */
export function PhotoBeside({ entries }: { entries: readonly JournalEntry[] }) {
  const photos = entries.filter((each): each is PhotoEntry => each.kind === 'photo');
  const [chosen, setChosen] = useState<string | null>(null);
  const shown = photos.find(({ id }) => id === chosen) ?? photos.find(({ cover }) => cover) ?? photos.at(-1);
  if (!shown) return null;
  return (
    <figure className="flex min-h-0 flex-1 flex-col gap-1">
      <img
        src={photoUrl(shown)}
        alt={shown.text || 'Photograph of the piece'}
        className="min-h-0 w-full flex-1 rounded object-contain"
      />
      {photos.length > 1 && (
        <Choice
          label="Photograph"
          className="w-full"
          value={shown.id}
          options={photos.map(
            ({ id, text, at }) => [id, `${text || 'Photograph'}, ${at.slice(0, 10)}`] as const,
          )}
          onChange={setChosen}
        />
      )}
    </figure>
  );
}
