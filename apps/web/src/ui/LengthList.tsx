import {
  editableLength,
  formatLength,
  type Mm,
  parseLength,
  type Result,
  refuse,
  type Said,
  sentenceIn,
} from '@fellside/core';
import { useState } from 'react';
import { unitsOf } from '../store/selectors.js';
import { useApp } from '../store/store.js';
import { Field } from './Field.js';
import { TextEntry } from './TextEntry.js';

interface LengthListProps {
  readonly label: string;
  /** null shows that several lists stand behind it. */
  readonly value: readonly Mm[] | null;
  readonly onChange: (value: Mm[]) => Result<unknown>;
  readonly className?: string;
}

/** Several lengths, semicolons between them: `16; 4; 8; 4; 16`; `3 x 4` stands for three of 4. */
export function LengthList({ label, value, onChange, className = 'w-64' }: LengthListProps) {
  const units = useApp(unitsOf);
  const [problem, setProblem] = useState<Said>();
  const list = (say: (length: Mm) => string) => value?.map(say).join('; ') ?? '';
  const text = list((length) => editableLength(length, units));
  const read = (typed: string): Result<unknown> => {
    const lengths: Mm[] = [];
    for (const part of typed.split(';').filter((piece) => piece.trim() !== '')) {
      const [, times = '1', given = part] = /^\s*(\d+)\s*[x×]\s*(.+)$/.exec(part) ?? [];
      const length = parseLength(given, units, label);
      if (!length.ok) return length;
      for (let i = 0; i < Math.min(100, Number(times)); i++) lengths.push(length.value);
    }
    return lengths.length === 0
      ? refuse(
          'web:empty-list',
          label,
          'There is no length; write some with semicolons between them, like 12; 4; 12.',
        )
      : onChange(lengths);
  };
  return (
    <Field label={label} problem={problem && sentenceIn(problem, units)}>
      {(control) => (
        <TextEntry
          {...control}
          className={className}
          shown={value === null ? 'various' : list((length) => formatLength(length, units))}
          editable={text}
          read={read}
          onProblem={setProblem}
        />
      )}
    </Field>
  );
}
