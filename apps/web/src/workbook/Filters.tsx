import { choicesIn, done, type Mm, type WorkbookAsked, type WorkbookRow } from '@fellside/core';
import { Choice } from '../ui/Choice.js';
import { OptionalLength } from '../ui/OptionalLength.js';

interface FiltersProps {
  readonly rows: readonly WorkbookRow[];
  readonly asked: WorkbookAsked;
  readonly ask: (asked: WorkbookAsked) => void;
}

const LISTS = [
  ['wood', 'woods', 'Wood'],
  ['way', 'ways', 'Made as'],
  ['year', 'years', 'Year'],
] as const;

/** What is looked for among all pieces: a word, a wood, a way of making, a year, a size. */
export function Filters({ rows, asked, ask }: FiltersProps) {
  const choices = choicesIn(rows);
  const size = (which: 'leastMm' | 'mostMm', label: string) => (
    <OptionalLength
      label={label}
      value={(asked[which] ?? undefined) as Mm | undefined}
      onChange={(value) => done(ask({ ...asked, [which]: value ?? null }))}
    />
  );
  return (
    <>
      <label className="text-xs text-quiet">
        With this word
        <input
          type="search"
          className="block h-8 w-44 rounded border border-line bg-raised px-2 text-base text-ink"
          value={asked.text}
          onChange={(event) => ask({ ...asked, text: event.target.value })}
        />
      </label>
      {LISTS.map(([key, list, label]) => (
        <Choice
          key={key}
          label={label}
          value={asked[key] ?? ''}
          options={[['', 'any'], ...choices[list].map((each) => [each, each] as const)]}
          onChange={(chosen) => ask({ ...asked, [key]: chosen === '' ? null : chosen })}
        />
      ))}
      <div className="w-28">{size('leastMm', 'Largest side from')}</div>
      <div className="w-28">{size('mostMm', 'to')}</div>
    </>
  );
}
