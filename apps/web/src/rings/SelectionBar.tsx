import { type Command, calledOf, edit, type Result, segmentsOf, startOf } from '@fellside/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { editPiece } from '../store/edits.js';
import { projectOf } from '../store/house.js';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';
import { LengthField } from '../ui/LengthField.js';
import { NumberField } from '../ui/NumberField.js';
import { BondChoice } from './BondChoice.js';
import { StartChoice } from './choice/StartChoice.js';
import { Inlays } from './inlays/Inlays.js';
import { PatchTool } from './PatchTool.js';
import { RingActions } from './RingActions.js';
import { SlantedBands } from './SlantedBands.js';
import { SliceDialog } from './SliceDialog.js';
import { StashDialog } from './StashDialog.js';
import { TurnField } from './TurnField.js';
import { shared, useTargets } from './targets.js';
import { WayControls } from './ways/controls.js';

/** What can be set for the selected rings, or for all when none is selected. */
export function SelectionBar() {
  const dispatch = useActions();
  const rings = useApp((state) => projectOf(state).rings);
  const id = useApp((state) => state.piece.id);
  const { selected, targets } = useTargets();
  const chosen = targets.map((index) => rings[index]!);
  const go = (command: Command): Result<unknown> => dispatch(editPiece(command));
  const segmented = targets.filter((index) => segmentsOf(rings[index]!.making) !== null);
  const counts = chosen.flatMap(({ making }) => segmentsOf(making) ?? []);
  const [fromStash, setFromStash] = useState(false);
  return (
    <section
      aria-label="Selected rings"
      className="flex flex-wrap items-end gap-x-3 gap-y-2 border-b border-line bg-pane px-3 py-2"
    >
      <div className="w-24">
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
      <StartChoice
        start={shared(chosen.map(({ making }) => startOf(making)))}
        called={shared(chosen.map(({ making }) => calledOf(making)))}
        onChoose={(start) => {
          if (start === 'stock') setFromStash(true);
          else go(edit.startFrom(targets, start));
        }}
      />
      <NumberField
        label="Segments"
        className="w-18"
        value={shared(counts)}
        {...(counts.length === 0 && { none: '–' })}
        onChange={(count) =>
          go(edit.setCount(selected.length > 0 || segmented.length === 0 ? targets : segmented, count))
        }
      />
      <LengthField
        label="Ring height"
        className="w-20"
        value={shared(chosen.map(({ heightMm }) => heightMm))}
        onChange={(heightMm) => go(edit.setRingHeight(targets, heightMm))}
      />
      <TurnField targets={targets} />
      <BondChoice targets={targets} rings={rings} />
      <RingActions selected={selected} />
      <SliceDialog />
      <PatchTool targets={targets} />
      <SlantedBands />
      <Inlays />
      <Link
        to={`/piece/${id}/blanks`}
        aria-label="Blanks that are no rings"
        title="Blanks that are no rings"
        className="flex h-8 items-center text-sm text-teal underline"
      >
        Blanks
      </Link>
      <div className="max-h-58 w-full overflow-y-auto max-wide:max-h-[45vh]">
        <WayControls targets={targets} />
      </div>
      <StashDialog open={fromStash} onOpen={setFromStash} ring={targets[0] ?? 0} />
    </section>
  );
}

function nameOf(selected: readonly number[], total: number): string {
  if (selected.length === 0) return `all ${total} rings`;
  return selected.length === 1 ? `Ring ${selected[0]! + 1}` : `${selected.length} rings`;
}
