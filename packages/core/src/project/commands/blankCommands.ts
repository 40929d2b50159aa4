import { BLANKS, type BlankKind, type BlankMaking, blankPlaces, makeBlank } from '../../blank/registry.js';
import { vesselOf } from '../../form/vessel.js';
import type { UnitSystem } from '../../measure/format.js';
import type { Reason } from '../../measure/reason.js';
import type { Project } from '../schema.js';
import type { Command, Outcome } from './command.js';
import { spread } from './stack.js';

const SAWN_ALREADY: Reason = {
  code: 'sawn-already',
  path: 'blanks',
  message: 'It is sawn in two already; a piece has two halves at most.',
};

/** A blank beside the stack, as it usually is in a shop that measures so. */
export const addBlank = (kind: BlankKind, id: string, units: UnitSystem = 'mm'): Command => ({
  label: `Add a ${BLANKS[kind].name.toLowerCase()}`,
  apply(draft) {
    if (kind === 'mount' && draft.blanks?.some(({ making }) => making.kind === 'mount'))
      return { reasons: [SAWN_ALREADY] };
    const vessel = vesselOf(draft.form);
    if (!vessel.ok) return { reasons: vessel.reasons };
    const making: BlankMaking = BLANKS[kind].begin(vessel.value, units);
    const wood = draft.palette[0]!.key;
    draft.blanks = [
      ...(draft.blanks ?? []),
      { id, making, woods: Array.from({ length: blankPlaces(making) }, () => wood) },
    ];
    return undefined;
  },
});

export const removeBlank = (index: number): Command => ({
  label: `Remove blank ${index + 1}`,
  apply(draft) {
    const left = (draft.blanks ?? []).filter((_, i) => i !== index);
    if (left.length > 0) draft.blanks = left;
    else delete draft.blanks;
    return undefined;
  },
});

/** Other sizes of a blank; its woods are kept by share. What cannot be made is refused. */
export const setBlank = (index: number, making: BlankMaking): Command => ({
  label: `Blank ${index + 1}`,
  apply: (draft) => made(draft, index, making),
});

function made(draft: Project, index: number, making: BlankMaking): Outcome | undefined {
  const blank = draft.blanks?.[index];
  if (!blank) return undefined;
  const vessel = vesselOf(draft.form);
  if (!vessel.ok) return { reasons: vessel.reasons };
  const tried = makeBlank(making, vessel.value);
  if (!tried.ok) return { reasons: tried.reasons };
  blank.making = making;
  blank.woods = spread(blank.woods, blankPlaces(making));
  return undefined;
}

/** A wood for some places of a blank, or for all of them. */
export const paintBlank = (index: number, key: string, places?: readonly number[]): Command => ({
  label: `Wood of blank ${index + 1}`,
  apply(draft) {
    const blank = draft.blanks?.[index];
    if (!blank) return undefined;
    for (const place of places ?? blank.woods.keys()) blank.woods[place] = key;
    return undefined;
  },
});
