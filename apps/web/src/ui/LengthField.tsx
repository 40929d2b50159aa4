import {
  editableLength,
  formatLength,
  gapUnits,
  type Mm,
  parseLength,
  type Result,
  type Said,
  sentenceIn,
} from '@fellside/core';
import { useState } from 'react';
import { unitsOf } from '../store/house.js';
import { useApp } from '../store/store.js';
import { Field } from './Field.js';
import { TextEntry } from './TextEntry.js';

/** A length in the user's units; `value` null shows that several values stand behind it. */
export function LengthField({
  label,
  value,
  onChange,
  hint,
  className = 'w-full',
  gap = false,
  unlabelled = false,
}: LengthFieldProps) {
  const own = useApp(unitsOf);
  const units = gap ? gapUnits(own) : own;
  const [problem, setProblem] = useState<Said>();
  const read = (text: string): Result<unknown> => {
    const length = parseLength(text, units, label);
    return length.ok ? onChange(length.value) : length;
  };
  return (
    <Field label={label} problem={problem && sentenceIn(problem, units)} hint={hint} unlabelled={unlabelled}>
      {(control) => (
        <TextEntry
          {...control}
          className={className}
          shown={value === null ? 'various' : formatLength(value, units)}
          editable={value === null ? '' : editableLength(value, units)}
          read={read}
          onProblem={setProblem}
        />
      )}
    </Field>
  );
}

interface LengthFieldProps {
  readonly label: string;
  readonly value: Mm | null;
  readonly onChange: (value: Mm) => Result<unknown>;
  readonly hint?: string;
  readonly className?: string;
  /** A gap: in thousandths of an inch, as a feeler gauge has them, and not in fractions. */
  readonly gap?: boolean;
  readonly unlabelled?: boolean;
}
