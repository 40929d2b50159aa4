import { type ParamsOf, partsFromDegrees, type Said, sentenceIn, trimZeros } from '@fellside/core';
import { useState } from 'react';
import { refusedEntry } from '../../store/edits.js';
import { unitsOf } from '../../store/house.js';
import { useActions, useApp } from '../../store/store.js';
import { Field } from '../../ui/Field.js';
import { TextEntry } from '../../ui/TextEntry.js';
import { type ControlsProps, useParams } from './params.js';

const EQUAL = 'equal';

const shownParts = ({ parts }: ParamsOf<'segmented'>): string =>
  parts?.map((part) => trimZeros(part.toFixed(3))).join(' : ') ?? EQUAL;

/**
 * Widths of segments in proportion, repeated round the ring: `2 : 1` is wide and narrow in turn, `equal` all alike; or
 * included angles in degrees, which have to make up the circle: `40° 20°`.
 */
export function PartsField({ targets }: ControlsProps) {
  const dispatch = useActions();
  const units = useApp(unitsOf);
  const [problem, setProblem] = useState<Said>();
  const { all, common, set } = useParams('segmented', targets);
  const shown = common(shownParts);
  const read = (text: string) => {
    const typed = text.trim().toLowerCase();
    if (typed === '' || typed === EQUAL) return set({ parts: undefined });
    const figures = typed
      .replaceAll('°', ' ')
      .split(/[\s:,;]+/)
      .filter(Boolean);
    const parts = figures.map(Number);
    if (parts.some((part) => !(part > 0)))
      return dispatch(
        refusedEntry(
          `“${text.trim()}” is no proportion; write it like 2 : 1, in degrees like 40° 20°, or “equal”.`,
        ),
      );
    if (typed.includes('°')) {
      const angles = partsFromDegrees(parts, all[0]!.count);
      return angles.ok
        ? set({ parts: angles.value.map((angle) => angle / parts[0]!) })
        : dispatch(refusedEntry(angles.reasons[0]!.message));
    }
    return set({ parts: parts.every((part) => part === parts[0]) ? undefined : parts });
  };
  return (
    <Field label="Widths" problem={problem && sentenceIn(problem, units)}>
      {(control) => (
        <TextEntry
          {...control}
          className="w-24"
          shown={shown ?? 'various'}
          editable={shown ?? ''}
          read={read}
          onProblem={setProblem}
        />
      )}
    </Field>
  );
}
