import type { Species } from '@fellside/core';
import { useState } from 'react';
import type { DifferingWood } from '../store/api.js';
import { Button } from '../ui/Button.js';
import { Sheet } from '../ui/Sheet.js';
import { Swatch } from '../ui/Swatch.js';

type Choice = 'mine' | 'both';

const FIGURES: readonly (readonly [label: string, of: (wood: Species) => string])[] = [
  ['name', ({ name }) => name],
  ['colour', ({ colour }) => colour],
  ['specific gravity', ({ specificGravity }) => String(specificGravity)],
  [
    'shrinkage',
    ({ shrinkage }) => (shrinkage ? `${shrinkage.radial} / ${shrinkage.tangential} %` : 'not known'),
  ],
];

/** A file has woods that are known here with other figures: which of them the piece is to use. */
export function DifferingWoods({
  woods,
  onCancel,
  onChosen,
}: {
  woods: readonly DifferingWood[];
  onCancel: () => void;
  onChosen: (choices: Readonly<Record<string, Choice>>) => void;
}) {
  const [choices, setChoices] = useState<Readonly<Record<string, Choice>>>({});
  return (
    <Sheet
      title="Woods that differ"
      says="The file has woods with other figures than here. Nothing has been taken in yet, and no wood here is changed."
    >
      {woods.map(({ id, mine, theirs }) => (
        <fieldset key={id} className="mb-4">
          <legend className="mb-1 font-semibold">{mine.name}</legend>
          {(['mine', 'both'] as const).map((choice) => {
            const wood = choice === 'mine' ? mine : theirs;
            const other = choice === 'mine' ? theirs : mine;
            return (
              <label key={choice} className="flex min-h-[44px] items-center gap-3 border-b border-line py-1">
                <input
                  type="radio"
                  name={id}
                  className="accent-teal"
                  checked={choices[id] === choice}
                  onChange={() => setChoices({ ...choices, [id]: choice })}
                />
                <Swatch wood={wood} size={24} />
                <span>
                  <b>{choice === 'mine' ? 'Use the one here' : 'Take the file’s in beside it'}</b>
                  <span className="block text-sm text-quiet">
                    {FIGURES.filter(([, of]) => of(wood) !== of(other))
                      .map(([label, of]) => `${label} ${of(wood)}`)
                      .join(' · ')}
                  </span>
                </span>
              </label>
            );
          })}
        </fieldset>
      ))}
      <div className="flex justify-end gap-2">
        <Button onClick={onCancel}>Take nothing in</Button>
        <Button kind="main" disabled={woods.some(({ id }) => !choices[id])} onClick={() => onChosen(choices)}>
          Take the piece in
        </Button>
      </div>
    </Sheet>
  );
}
