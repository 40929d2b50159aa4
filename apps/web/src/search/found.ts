import { ringOwner } from '@fellside/core';
import { STEPS } from '../guide/steps.js';
import { look, THEMES } from '../store/lookSlice.js';
import { ringAddress } from '../store/selection.js';
import { session } from '../store/sessionSlice.js';
import type { Dispatch, State } from '../store/store.js';
import { redo, undo } from '../store/undoing.js';

/** Something that can be gone to or done. */
export interface Findable {
  readonly name: string;
  readonly group: 'Go to' | 'Do' | 'Rings' | 'Woods' | 'Pieces';
  /** Other words that people look for it by. */
  readonly also?: string;
  /** Address to go to. */
  readonly to?: string;
  run?(dispatch: Dispatch): void;
}

const HOUSE: readonly Findable[] = [
  { name: 'Shelf', group: 'Go to', to: '/', also: 'pieces home all new open file' },
  { name: 'Workbook', group: 'Go to', to: '/workbook', also: 'table totals hours csv' },
  {
    name: 'Woods',
    group: 'Go to',
    to: '/woods',
    also: 'species own wood boards on hand rack moisture stash',
  },
  {
    name: 'Shop',
    group: 'Go to',
    to: '/shop',
    also: 'settings saw kerf lathe swing clamps glue prices units tools hours',
  },
  { name: 'Safe', group: 'Go to', to: '/safe', also: 'backup restore health passphrase other machines' },
  { name: 'Removed pieces', group: 'Go to', to: '/removed', also: 'trash deleted put back' },
];

const STATIONS: readonly (readonly [path: string, name: string, also: string])[] = [
  ['form', 'Form', 'shape outline profile wall floor foot lid height diameter picture photograph'],
  ['rings', 'Rings', 'segments count height way making spacers layers stack slice split'],
  ['pattern', 'Pattern', 'colour paint brush motif contrast illusion wood palette'],
  ['pattern/turntable', 'Turntable', '3d turn look'],
  ['cuts', 'Cuts: wood', 'boards board feet buy cut together copies'],
  ['cuts/saw', 'Cuts: at the saw', 'mitre angle stop strip width rip setting'],
  ['cuts/boards', 'Cuts: boards', 'layout lay out'],
  ['cuts/papers', 'Cuts: papers', 'print pdf sheets csv template svg dxf'],
  ['make', 'Work', 'cards order next job count'],
  ['make/rehearsal', 'Rehearsal', 'simulate errors gaps out of round wander builds'],
  ['make/day', 'Day plan', 'schedule calendar clamps time'],
  ['make/setting', 'Setting', 'saw angle wedge test pieces remembered set-up'],
  ['make/dry-fit', 'Dry fit', 'gap joint open feeler'],
  ['make/lathe', 'At the lathe', 'speed reach steady holding balance'],
  ['make/ageing', 'Wood and finish', 'movement moisture humidity colour oil lacquer coats bleed'],
  ['make/changes', 'Changes', 'saw off foot torn rim new foot patch as turned'],
  ['record', 'Journal', 'note photograph hours clock went wrong mended'],
  ['record/passport', 'Passport', 'card label print page show qr'],
  ['record/again', 'Again', 'copy larger smaller scale mirror other woods'],
  ['record/boards', 'Other boards', 'thickness substitution thinner thicker'],
  ['blanks', 'Blanks', 'laminated board globe bent bend'],
  ['versions', 'Earlier versions', 'history compare take back'],
];

/** Everything that can be gone to or done from where the reader is; pieces of the shelf are added as they are found. */
export function findables(
  state: Pick<State, 'piece' | 'look'>,
  woods: readonly { readonly id: string; readonly name: string; readonly latin: string }[],
): Findable[] {
  const { id, edited } = state.piece;
  const found: Findable[] = [];
  if (id && edited) {
    const past = edited.history.past.at(-1);
    const future = edited.history.future.at(-1);
    if (past) found.push({ name: `Undo: ${past.label}`, group: 'Do', run: (dispatch) => dispatch(undo()) });
    if (future)
      found.push({ name: `Redo: ${future.label}`, group: 'Do', run: (dispatch) => dispatch(redo()) });
    found.push(
      ...STATIONS.map(
        ([path, name, also]): Findable => ({ name, group: 'Go to', also, to: `/piece/${id}/${path}` }),
      ),
      ...edited.project.rings.map(
        (ring, i): Findable => ({
          name: `Ring ${i + 1}`,
          group: 'Rings',
          to: ringAddress(id, ring.id),
          run: (dispatch) => dispatch(session.selected([ringOwner(ring.id)])),
        }),
      ),
    );
  }
  const { guide } = state.look;
  if (guide)
    found.push({
      name: `Guided first piece, step ${guide.step + 1}`,
      group: 'Do',
      also: 'help learn tutorial start guide',
      to: `/piece/${guide.piece}/${STEPS[guide.step]?.at ?? 'form'}`,
      run: (dispatch) => dispatch(look.guided({ ...guide, open: true })),
    });
  found.push(
    ...HOUSE,
    ...THEMES.map(
      (theme): Findable => ({
        name: `Theme: ${theme === 'system' ? 'as the system' : theme === 'bright' ? 'bright shop' : theme}`,
        group: 'Do',
        also: 'dark light bright colours',
        run: (dispatch) => dispatch(look.themed(theme)),
      }),
    ),
    ...woods.map(
      ({ id: wood, name, latin }): Findable => ({ name, group: 'Woods', also: latin, to: `/woods#${wood}` }),
    ),
  );
  return found;
}
