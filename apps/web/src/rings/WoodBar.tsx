import { type Command, edit, groupsOf, type RingMaking } from '@fellside/core';
import { Plus } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { editPiece } from '../store/edits.js';
import { projectOf, woodsOf } from '../store/house.js';
import { paletteOf } from '../store/selectors.js';
import { session } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { controlClass } from '../ui/Field.js';
import { Swatch } from '../ui/Swatch.js';
import { useTargets } from './targets.js';

/** The palette: pick a wood, then click segments, or give it to the selected rings. */
export function WoodBar({ on = 'segments on the unrolled wall' }: { on?: string }) {
  const dispatch = useActions();
  const palette = useApp((state) => projectOf(state).palette);
  const rings = useApp((state) => projectOf(state).rings);
  const woods = useApp(woodsOf);
  const species = useApp(paletteOf);
  const brush = useApp((state) => state.session.brush);
  const { selected, targets } = useTargets();
  const go = (command: Command) => dispatch(editPiece(command));
  const picked = palette.find(({ key }) => key === brush);
  return (
    <section
      aria-label="Woods of this piece"
      className="flex flex-wrap items-center gap-2 border-b border-line bg-pane px-3 py-2"
    >
      <span className="text-xs text-quiet">Paint with</span>
      <fieldset aria-label="Paint with" className="flex flex-wrap gap-1">
        {palette.map(({ key }) => (
          <button
            key={key}
            type="button"
            aria-pressed={brush === key}
            onClick={() => dispatch(session.brushed(brush === key ? null : key))}
            className="flex h-8 items-center gap-1.5 rounded border border-line bg-raised px-2 aria-pressed:border-teal aria-pressed:bg-teal-wash aria-pressed:font-semibold"
          >
            <Swatch wood={species.get(key)} /> {species.get(key)?.name ?? key}
          </button>
        ))}
        <AddWood />
      </fieldset>
      {picked ? (
        <>
          <Button kind="main" onClick={() => go(edit.setWood(targets, picked.key))}>
            {selected.length > 0
              ? `Whole of ${selected.length === 1 ? `ring ${selected[0]! + 1}` : `${selected.length} rings`}`
              : 'Whole piece'}
          </Button>
          {extraGroups(targets.map((index) => rings[index]!.making)).map((group) => (
            <Button key={group} onClick={() => go(edit.setGroupWood(targets, picked.key, group))}>
              Every {group.toLowerCase()}
            </Button>
          ))}
          <label className="ml-2 flex items-center gap-1.5 text-xs text-quiet">
            Swap it everywhere for
            <select
              className={`${controlClass} w-40`}
              value={picked.wood}
              onChange={(event) => go(edit.setPaletteWood(picked.key, event.target.value))}
            >
              {woods.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          </label>
          <Button
            onClick={() =>
              dispatch(editPiece(edit.removePaletteWood(picked.key))).ok && dispatch(session.brushed(null))
            }
          >
            Take off
          </Button>
        </>
      ) : (
        <span className="text-sm text-quiet">Pick a wood, then click {on}.</span>
      )}
    </section>
  );
}

/** What rings have besides segments: spacers, plugs, layers; and the segments themselves where there is more. */
function extraGroups(makings: readonly RingMaking[]): string[] {
  const groups = new Set(
    makings.map(groupsOf).flatMap((all) => (all.length > 1 ? all.map(({ name }) => name) : [])),
  );
  return [...groups];
}

/** Puts a further wood on the palette. */
export function AddWood() {
  const dispatch = useActions();
  const palette = useApp((state) => projectOf(state).palette);
  const woods = useApp(woodsOf);
  const rest = woods.filter(({ id }) => !palette.some(({ wood }) => wood === id));
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>
        <Button>
          <Plus aria-hidden size={14} /> Wood
        </Button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="start"
          className="z-20 max-h-80 w-56 overflow-auto rounded border border-line bg-raised p-1 shadow-lg"
        >
          {rest.map((wood) => (
            <DropdownMenu.Item
              key={wood.id}
              onSelect={() => dispatch(editPiece(edit.addPaletteWood(wood.id, 'accent')))}
              className="flex items-center gap-2 rounded px-2 py-1 data-highlighted:bg-teal-wash"
            >
              <Swatch wood={wood} /> {wood.name}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
