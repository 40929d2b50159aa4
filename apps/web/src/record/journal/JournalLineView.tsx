import { type JournalLine, sentenceIn } from '@fellside/core';
import { useState } from 'react';
import { useParams } from 'react-router';
import { api, sentencesOf } from '../../store/api.js';
import { unitsOf } from '../../store/house.js';
import { useApp } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { clockOf } from './clockOf.js';
import { Photo } from './Photo.js';

const BY_HAND: readonly string[] = ['note', 'trouble', 'hours', 'photo', 'boards'];

/** A line of the journal; what was written by hand can be taken out again, asked first. */
export function JournalLineView({ line: { at, until, device, says, entry } }: { line: JournalLine }) {
  const { id = '' } = useParams();
  const units = useApp(unitsOf);
  const unsent = useApp((state) => state.journal.unsent[id]?.some((each) => each.id === entry?.id) ?? false);
  const [remove] = api.useRemoveEntryMutation();
  const [asked, setAsked] = useState(false);
  const [trouble, setTrouble] = useState('');
  const text = sentenceIn(says, units);
  const takeOut = () =>
    remove({ piece: id, id: entry!.id })
      .unwrap()
      .catch((error) => setTrouble(sentencesOf(error).join(' ')));
  return (
    <li className="grid grid-cols-[auto_minmax(0,1fr)_auto] items-start gap-x-3 sm:grid-cols-[5.5rem_minmax(0,1fr)_auto] border-t border-line py-1.5">
      <span className="text-sm text-quiet tabular-nums" title={device}>
        {clockOf(at)}
        {until && `–${clockOf(until)}`}
      </span>
      <div className="min-w-0">
        <p className={`whitespace-pre-line ${entry?.kind === 'trouble' ? 'text-rust' : ''}`}>{text}</p>
        {entry?.kind === 'photo' && <Photo piece={id} entry={entry} />}
        {unsent && <p className="text-sm text-quiet">On its way to the server.</p>}
        {trouble && (
          <p role="alert" className="text-sm text-rust">
            {trouble}
          </p>
        )}
      </div>
      {entry && BY_HAND.includes(entry.kind) && !unsent && (
        <span className="flex gap-1">
          {asked && <Button onClick={() => setAsked(false)}>Leave it</Button>}
          <Button
            aria-label={asked ? `Yes, take out: ${text}` : `Take out: ${text}`}
            className={asked ? 'border-rust! text-rust!' : 'border-transparent! bg-transparent! text-quiet!'}
            onClick={asked ? takeOut : () => setAsked(true)}
          >
            {asked ? (entry.kind === 'photo' ? 'Yes, with the picture' : 'Yes, take it out') : 'Take out'}
          </Button>
        </span>
      )}
    </li>
  );
}
