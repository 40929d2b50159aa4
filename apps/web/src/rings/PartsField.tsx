import { edit, type Ring, type RingMaking } from '@fellside/core';
import { useState } from 'react';
import { editPiece, refusedEntry } from '../store/edits.js';
import { useActions } from '../store/store.js';
import { Field } from '../ui/Field.js';
import { TextEntry } from '../ui/TextEntry.js';
import { shared } from './targets.js';

const EQUAL = 'equal';

const partsOf = (making: RingMaking): string =>
  making.way === 'flat' && making.parts ? making.parts.join(' : ') : EQUAL;

interface PartsFieldProps {
  /** Rings of segments that it is about. */
  readonly targets: readonly number[];
  readonly rings: readonly Ring[];
}

/** Widths of segments in proportion, repeated round the ring: `2 : 1` is wide and narrow in turn; `equal` all alike. */
export function PartsField({ targets, rings }: PartsFieldProps) {
  const dispatch = useActions();
  const [problem, setProblem] = useState<string>();
  const shown = shared(targets.map((index) => partsOf(rings[index]!.making)));
  const read = (text: string) => {
    const typed = text.trim().toLowerCase();
    const parts = typed === '' || typed === EQUAL ? null : typed.split(/[\s:,;]+/).map(Number);
    if (parts?.some((part) => !(part > 0)))
      return dispatch(refusedEntry(`“${text.trim()}” is no proportion; write it like 2 : 1, or “equal”.`));
    return dispatch(editPiece(edit.setParts(targets, parts)));
  };
  return (
    <Field label="Widths" problem={problem}>
      {(control) => (
        <TextEntry
          {...control}
          className="w-20"
          shown={targets.length === 0 ? '–' : (shown ?? 'various')}
          editable={shown ?? ''}
          read={read}
          onProblem={setProblem}
        />
      )}
    </Field>
  );
}
