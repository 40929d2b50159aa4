import { type Command, edit, MAKINGS, type Result, type Ring, WAYS, type Way } from '@fellside/core';
import { editPiece } from '../store/edits.js';
import type { Offer } from '../store/pieceSlice.js';
import { projectOf } from '../store/selectors.js';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { controlClass, Field } from '../ui/Field.js';
import { LengthField } from '../ui/LengthField.js';
import { NumberField } from '../ui/NumberField.js';

/** The value that all share; null when they differ. */
const shared = <T,>(values: readonly T[]): T | null =>
  values.every((value) => value === values[0]) ? (values[0] ?? null) : null;

/** What can be set for the selected rings, or for all when none is selected. */
export function SelectionBar() {
  const dispatch = useActions();
  const { rings } = useApp(projectOf);
  const selected = useApp((state) => state.session.selected).filter((index) => index < rings.length);
  const targets = selected.length > 0 ? selected : rings.map((_, index) => index);
  const chosen = targets.map((index) => rings[index]!);
  const go = (command: Command, offer: Offer | null = null): Result<unknown> =>
    dispatch(editPiece(command, offer));
  const segmented = targets.filter((index) => rings[index]!.making.way === 'flat');
  return (
    <section
      aria-label="Selected rings"
      className="flex flex-wrap items-end gap-x-4 gap-y-2 border-b border-line bg-pane px-3 py-2"
    >
      <div className="w-36">
        <p className="text-xs text-quiet">{selected.length > 0 ? 'Selected' : 'Changes go to'}</p>
        <p className="flex h-8 items-center gap-2 font-semibold">
          {nameOf(selected, rings.length)}
          {selected.length > 0 && (
            <button
              type="button"
              className="font-normal text-teal underline"
              onClick={() => dispatch(session.selected([]))}
            >
              all
            </button>
          )}
        </p>
      </div>
      <Field label="Made as">
        {(control) => (
          <select
            {...control}
            className={`${controlClass} w-36`}
            value={shared(chosen.map(({ making }) => making.way)) ?? ''}
            onChange={(event) => go(setWay(targets, chosen, event.target.value as Way))}
          >
            <option value="" disabled>
              various
            </option>
            {WAYS.map((way) => (
              <option key={way} value={way}>
                {MAKINGS[way].name}
              </option>
            ))}
          </select>
        )}
      </Field>
      <NumberField
        label="Segments"
        className="w-20"
        value={shared(chosen.flatMap(({ making }) => (making.way === 'flat' ? [making.count] : [])))}
        onChange={(count) =>
          go(edit.setCount(selected.length > 0 || segmented.length === 0 ? targets : segmented, count))
        }
      />
      <LengthField
        label="Ring height"
        className="w-24"
        value={shared(chosen.map(({ heightMm }) => heightMm))}
        onChange={(heightMm) =>
          go(edit.setRingHeight(targets, heightMm), { edit: 'height', rings: targets, heightMm })
        }
      />
      <NumberField
        label="Turn, in segments"
        className="w-24"
        value={shared(chosen.map(({ turn }) => turn))}
        onChange={(turn) => go(edit.setTurn(targets, turn))}
      />
      <div className="flex gap-1">
        <Button onClick={() => go(edit.setBond(targets, 'brick'))}>Brick bond</Button>
        <Button onClick={() => go(edit.setBond(targets, 'aligned'))}>Aligned</Button>
      </div>
      {selected.length > 0 && (
        <div className="flex gap-1">
          <Button disabled={selected.length !== 1} onClick={() => go(edit.duplicateRing(selected[0]!))}>
            Duplicate
          </Button>
          <Button disabled={selected.length === rings.length} onClick={() => remove(selected)}>
            Remove
          </Button>
        </div>
      )}
    </section>
  );

  function remove(gone: readonly number[]) {
    if (go(edit.removeRings(gone), { edit: 'remove', rings: gone }).ok) dispatch(session.selected([]));
  }
}

function nameOf(selected: readonly number[], total: number): string {
  if (selected.length === 0) return `all ${total} rings`;
  return selected.length === 1 ? `Ring ${selected[0]! + 1}` : `${selected.length} rings`;
}

/** Segments where rings were discs take the count of the first segmented ring at hand, or 12. */
function setWay(targets: readonly number[], chosen: readonly Ring[], way: Way): Command {
  const counts = chosen.flatMap(({ making }) => (making.way === 'flat' ? [making.count] : []));
  return edit.setMaking(targets, way === 'disc' ? { way } : { way, count: counts[0] ?? 12 });
}
