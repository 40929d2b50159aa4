import type { Result, Said } from '@fellside/core';
import { useState } from 'react';
import { flushSync } from 'react-dom';
import { type ControlProps, controlClass } from './Field.js';

/** What is being typed, and the value that stood there when it was begun. */
interface Entry {
  readonly text: string;
  readonly from: string;
  readonly wrong: boolean;
}

/**
 * A field that is read when it is left or Enter is pressed. While it is typed in, nothing outside follows; what is
 * refused stays in the field with its sentence; Escape puts back what was there.
 */
export function TextEntry({
  shown,
  editable,
  read,
  onProblem,
  onWalk,
  className = '',
  ...control
}: TextEntryProps) {
  const [entry, setEntry] = useState<Entry | null>(null);
  // An entry begun on another value is over: an undo or a remedy has changed what it was about.
  const live = entry?.from === editable ? entry : null;
  const leave = () => {
    setEntry(null);
    onProblem(undefined);
  };
  const settle = () => {
    if (!live || live.text.trim() === editable) return leave();
    const answer = read(live.text);
    if (answer.ok) return leave();
    setEntry({ ...live, wrong: true });
    onProblem(answer.reasons[0]?.message ?? 'That cannot be used.');
  };
  return (
    <input
      {...control}
      aria-invalid={live?.wrong ? true : undefined}
      data-entry={live && live.text !== editable ? 'typed' : undefined}
      className={`${controlClass} ${className}`}
      autoComplete="off"
      spellCheck={false}
      value={live?.text ?? shown}
      onFocus={(event) => {
        // At once, so that what is typed or pasted next replaces the text that is being edited.
        flushSync(() => setEntry(live ?? { text: editable, from: editable, wrong: false }));
        event.currentTarget.select();
      }}
      onChange={(event) => setEntry({ text: event.target.value, from: editable, wrong: false })}
      onBlur={settle}
      onKeyDown={(event) => {
        if (event.key === 'Enter') settle();
        if (event.key === 'Escape') leave();
        const step = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
        if (onWalk && step !== 0) {
          event.preventDefault();
          onWalk(step);
        }
        event.stopPropagation();
      }}
    />
  );
}

export interface TextEntryProps extends ControlProps {
  /** What stands in the field at rest, and what it becomes for editing. */
  readonly shown: string;
  readonly editable: string;
  readonly read: (text: string) => Result<unknown>;
  readonly onProblem: (sentence: Said | undefined) => void;
  /** Up (1) or down (−1) was pressed: goes to the field above or below. */
  readonly onWalk?: (step: number) => void;
  readonly className?: string;
  readonly title?: string;
  /** What stands in it while it is empty. */
  readonly placeholder?: string | undefined;
}
