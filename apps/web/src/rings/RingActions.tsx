import { type Command, edit } from '@fellside/core';
import { ChevronDown } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { editPiece } from '../store/edits.js';
import { projectOf } from '../store/house.js';
import { moveRingsBy } from '../store/moves.js';
import { ringAddress, selectRings } from '../store/selection.js';
import { planOf } from '../store/selectors.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { copyRings, pasteCopied, useRingClipboard } from './clipboard.js';
import { PutInStash } from './PutInStash.js';

/** What can be done with the selected rings as parts of the stack. */
export function RingActions({ selected }: { selected: readonly number[] }) {
  const dispatch = useActions();
  const navigate = useNavigate();
  const id = useApp((state) => state.piece.id);
  const rings = useApp((state) => projectOf(state).rings);
  const plan = useApp(planOf);
  const [stashing, setStashing] = useState(false);
  useRingClipboard(selected);
  const [first, many] = [selected[0], selected.length > 1];
  const go = (command: Command, after?: readonly number[]) => {
    if (dispatch(editPiece(command)).ok && after) dispatch(selectRings(after));
  };
  if (first === undefined) return null;
  const locked = selected.every((index) => rings[index]?.locked);
  const fixed = selected.every((index) => rings[index]?.fixed);
  const ring = plan.ok ? plan.value.rings[first] : undefined;
  const fix = () => {
    if (fixed) go(edit.setFixed(selected, null));
    else go(edit.fixSizes(selected));
  };
  const items: readonly (readonly [name: string, act: () => void, off?: boolean])[] = [
    ['Open its plan (Enter)', () => navigate(`${ringAddress(id, rings[first]!.id)}/plan`), many],
    ['Split in two', () => go(edit.splitRing(first)), many],
    ['Merge into one', () => go(edit.mergeRings(selected), [Math.min(...selected)]), !many],
    ['Insert a ring above', () => go(edit.insertRing(first, 'above'), [first + 1]), many],
    ['Insert a ring below', () => go(edit.insertRing(first, 'below'), [first]), many],
    ['Duplicate', () => go(edit.duplicateRings(selected))],
    ['Copy (Ctrl C)', () => dispatch(copyRings(selected))],
    ['Paste above (Ctrl V)', () => dispatch(pasteCopied(selected, 'rings'))],
    ['Paste the look only (Ctrl Shift V)', () => dispatch(pasteCopied(selected, 'look'))],
    ['Move up (Alt ↑)', () => dispatch(moveRingsBy(first, 1))],
    ['Move down (Alt ↓)', () => dispatch(moveRingsBy(first, -1))],
    [locked ? 'Unlock the height' : 'Lock the height', () => go(edit.setLocked(selected, !locked))],
    [fixed ? 'Let the size follow the form' : 'Fix the size: pieces are cut', fix, !fixed && !ring?.gives],
    [
      'Put one like it in the stash…',
      () => setStashing(true),
      many || !ring?.gives || rings[first]?.making.way === 'stock',
    ],
    ['Remove', () => go(edit.removeRings(selected), []), selected.length === rings.length],
  ];
  return (
    <>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger asChild>
          <Button>
            {many ? 'These rings' : `Ring ${first + 1}`} <ChevronDown aria-hidden size={14} />
          </Button>
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content
            align="end"
            sideOffset={4}
            className="z-20 rounded border border-line bg-raised p-1 shadow-lg"
          >
            {items.map(([name, act, off]) => (
              <DropdownMenu.Item
                key={name}
                disabled={off === true}
                onSelect={act}
                className="cursor-pointer rounded px-3 py-1.5 outline-none data-disabled:cursor-default data-disabled:opacity-45 data-highlighted:bg-teal-wash"
              >
                {name}
              </DropdownMenu.Item>
            ))}
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      <PutInStash ring={first} open={stashing} onOpen={setStashing} />
    </>
  );
}
