import type { Result } from '@fellside/core';
import { useState } from 'react';
import { type ControlProps, controlClass } from './Field.js';

/**
 * A field that is read when it is left or Enter is pressed. While it is typed in, nothing outside follows; what is
 * refused stays in the field with its sentence; Escape puts back what was there.
 */
export function TextEntry({ shown, editable, read, onProblem, className = '', ...control }: TextEntryProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const [wrong, setWrong] = useState(false);
  const settle = () => {
    if (typed === null || typed.trim() === editable) return leave();
    const answer = read(typed);
    if (answer.ok) return leave();
    setWrong(true);
    onProblem(answer.reasons[0]?.message ?? 'That cannot be used.');
  };
  const leave = () => {
    setTyped(null);
    setWrong(false);
    onProblem(undefined);
  };
  return (
    <input
      {...control}
      aria-invalid={wrong || control['aria-invalid'] ? true : undefined}
      className={`${controlClass} ${className}`}
      autoComplete="off"
      spellCheck={false}
      value={typed ?? shown}
      onFocus={(event) => {
        if (typed === null) setTyped(editable);
        const field = event.currentTarget;
        requestAnimationFrame(() => field.select());
      }}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={settle}
      onKeyDown={(event) => {
        if (event.key === 'Enter') settle();
        if (event.key === 'Escape') leave();
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
  readonly onProblem: (sentence: string | undefined) => void;
  readonly className?: string;
}
