import type { Pattern } from '@fellside/core';
import { useState } from 'react';
import { api, sentencesOf } from '../store/api.js';
import { refusedEntry } from '../store/edits.js';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { controlClass } from '../ui/Field.js';
import { copyBlock, pasteBlock } from './blocks.js';

/** What can be done with a marked part of the wall. */
export function BlockActions() {
  const dispatch = useActions();
  const marked = useApp((state) => state.session.marked);
  const copied = useApp((state) => state.session.copied);
  return (
    <div className="flex items-end gap-2">
      <span className="pb-1.5 text-xs text-quiet">
        {marked
          ? `Rings ${marked.low + 1} to ${marked.high + 1}, ${Math.round(marked.widthTurns * 360)}°`
          : 'Drag over the wall to mark a part'}
      </span>
      <Button onClick={() => dispatch(copyBlock())}>Copy</Button>
      <Button disabled={!copied} onClick={() => copied && dispatch(pasteBlock(copied))}>
        Paste here
      </Button>
      <Button disabled={!marked} onClick={() => dispatch(session.painting({ marked: null }))}>
        Unmark
      </Button>
      {copied && <KeepPattern pattern={(name) => ({ holds: 'block', name, block: copied })} />}
    </div>
  );
}

/** Keeps a pattern under a name for any piece. */
export function KeepPattern({ pattern }: { pattern: (name: string) => Pattern }) {
  const dispatch = useActions();
  const [keep] = api.useKeepPatternMutation();
  const [name, setName] = useState<string | null>(null);
  if (name === null) return <Button onClick={() => setName('')}>Keep…</Button>;
  const send = async () => {
    const answer = await keep(pattern(name));
    if ('error' in answer && answer.error) dispatch(refusedEntry(sentencesOf(answer.error).join(' ')));
    else setName(null);
  };
  return (
    <form
      className="flex gap-1"
      onSubmit={(event) => {
        event.preventDefault();
        void send();
      }}
    >
      <input
        aria-label="Name of the pattern"
        placeholder="Name"
        className={`${controlClass} w-32`}
        value={name}
        // biome-ignore lint/a11y/noAutofocus: the field was asked for by the press before
        autoFocus
        onChange={(event) => setName(event.target.value)}
      />
      <Button type="submit" kind="main">
        Keep
      </Button>
      <Button onClick={() => setName(null)}>Not now</Button>
    </form>
  );
}
