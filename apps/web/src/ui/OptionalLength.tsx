import {
  editableLength,
  formatLength,
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

interface OptionalLengthProps {
  readonly label: string;
  readonly value: Mm | undefined;
  /** What an empty field means, where that is not plain. */
  readonly empty?: string;
  readonly onChange: (value: Mm | undefined) => Result<unknown>;
}

/** A length that may be left out: an empty field. */
export function OptionalLength({ label, value, empty, onChange }: OptionalLengthProps) {
  const units = useApp(unitsOf);
  const [problem, setProblem] = useState<Said>();
  const read = (text: string): Result<unknown> => {
    if (text.trim() === '') return onChange(undefined);
    const length = parseLength(text, units, label);
    return length.ok ? onChange(length.value) : length;
  };
  return (
    <Field label={label} problem={problem && sentenceIn(problem, units)}>
      {(control) => (
        <TextEntry
          {...control}
          className="w-full placeholder:text-quiet"
          placeholder={empty}
          shown={value === undefined ? '' : formatLength(value, units)}
          editable={value === undefined ? '' : editableLength(value, units)}
          read={read}
          onProblem={setProblem}
        />
      )}
    </Field>
  );
}
