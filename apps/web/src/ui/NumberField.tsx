import { type Result, readNumber, refuse, type Said, sentenceIn, trimZeros } from '@fellside/core';
import { useState } from 'react';
import { unitsOf } from '../store/house.js';
import { useApp } from '../store/store.js';
import { Field } from './Field.js';
import { TextEntry } from './TextEntry.js';

/** A plain number; `value` null shows that several values stand behind it, or `none` where there is none. */
export function NumberField({
  label,
  value,
  unit = '',
  none = 'various',
  onChange,
  className = 'w-full',
}: NumberFieldProps) {
  const units = useApp(unitsOf);
  const [problem, setProblem] = useState<Said>();
  const text = value === null ? '' : trimZeros(value.toFixed(4));
  const read = (typed: string): Result<unknown> => {
    const number = readNumber(typed);
    return number === null
      ? refuse('web:not-a-number', label, `“${typed.trim()}” is not a number.`)
      : onChange(number);
  };
  return (
    <Field label={label} problem={problem && sentenceIn(problem, units)}>
      {(control) => (
        <TextEntry
          {...control}
          className={className}
          shown={value === null ? none : `${text}${unit}`}
          editable={text}
          read={read}
          onProblem={setProblem}
        />
      )}
    </Field>
  );
}

interface NumberFieldProps {
  readonly label: string;
  readonly value: number | null;
  readonly unit?: string;
  readonly none?: string;
  readonly onChange: (value: number) => Result<unknown>;
  readonly className?: string;
}
