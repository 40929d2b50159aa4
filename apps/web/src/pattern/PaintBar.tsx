import { edit, refuse } from '@fellside/core';
import {
  Blocks,
  Brush,
  Columns2,
  type LucideIcon,
  MoveUpRight,
  PaintBucket,
  Pipette,
  Rows2,
} from 'lucide-react';
import { useTargets } from '../rings/targets.js';
import { AddWood } from '../rings/WoodBar.js';
import { editPiece } from '../store/edits.js';
import { projectOf } from '../store/house.js';
import { paletteOf } from '../store/selectors.js';
import { session, type Tool } from '../store/sessionSlice.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { NumberField } from '../ui/NumberField.js';
import { Swatch } from '../ui/Swatch.js';
import { Switch } from '../ui/Switch.js';
import { BlockActions } from './BlockActions.js';

const TOOLS: readonly (readonly [tool: Tool, name: string, icon: LucideIcon, says: string])[] = [
  ['place', 'Place', Brush, 'one segment; drag paints along'],
  ['ring', 'Ring', Rows2, 'every place of a ring'],
  ['column', 'Column', Columns2, 'all that lies above and below'],
  ['diagonal', 'Diagonal', MoveUpRight, 'next segment up and so many across'],
  ['patch', 'Patch', PaintBucket, 'all of one wood that hangs together'],
  ['pick', 'Pick up', Pipette, 'take the wood that is there'],
  ['block', 'Block', Blocks, 'mark a part to copy, keep or paste'],
];

/** Why a number is not taken; null where it is. */
const whole = (value: number, least: number, most: number, label: string) =>
  Number.isInteger(value) && value >= least && value <= most
    ? null
    : refuse(
        'web:not-whole',
        label,
        `${label} is ${value}; it has to be a whole number from ${least} to ${most}.`,
      );

/** What is painted with, how far a stroke reaches and how it is repeated round the piece. */
export function PaintBar() {
  const dispatch = useActions();
  const palette = useApp((state) => projectOf(state).palette);
  const woods = useApp(paletteOf);
  const brush = useApp((state) => state.session.brush);
  const tool = useApp((state) => state.session.tool);
  const across = useApp((state) => state.session.across);
  const fold = useApp((state) => state.session.fold);
  const mirror = useApp((state) => state.session.mirror);
  const { selected } = useTargets();
  const set = (change: Parameters<typeof session.painting>[0]) => {
    dispatch(session.painting(change));
    return { ok: true as const, value: null };
  };
  return (
    <section
      aria-label="Painting"
      className="flex flex-wrap items-end gap-x-4 gap-y-2 border-b border-line bg-pane px-3 py-2"
    >
      <fieldset aria-label="Paint with" className="flex flex-wrap gap-1">
        {palette.map(({ key }, i) => (
          <button
            key={key}
            type="button"
            aria-pressed={brush === key}
            title={i < 9 ? `Key ${i + 1}` : undefined}
            onClick={() => dispatch(session.brushed(brush === key ? null : key))}
            className="flex h-8 items-center gap-1.5 rounded border border-line bg-raised px-2 aria-pressed:border-teal aria-pressed:bg-teal-wash aria-pressed:font-semibold"
          >
            <kbd className="text-xs text-quiet">{i < 9 ? i + 1 : ''}</kbd>
            <Swatch wood={woods.get(key)} /> {woods.get(key)?.name ?? key}
          </button>
        ))}
        <AddWood />
      </fieldset>
      <fieldset aria-label="Tool" className="flex flex-wrap">
        {TOOLS.map(([name, label, Icon, says]) => (
          <button
            key={name}
            type="button"
            aria-pressed={tool === name}
            title={says}
            onClick={() => set({ tool: name })}
            className="-ml-px flex h-8 items-center gap-1 border border-line bg-raised px-2 first:rounded-l last:rounded-r aria-pressed:z-1 aria-pressed:border-teal aria-pressed:bg-teal-wash aria-pressed:font-semibold"
          >
            <Icon aria-hidden size={14} /> {label}
          </button>
        ))}
      </fieldset>
      {tool === 'diagonal' && (
        <NumberField
          label="Across a ring"
          className="w-16"
          value={across}
          onChange={(value) => whole(value, -24, 24, 'Across') ?? set({ across: value })}
        />
      )}
      <NumberField
        label="Times round"
        className="w-16"
        value={fold}
        onChange={(value) => whole(value, 1, 360, 'Times round') ?? set({ fold: value })}
      />
      <Switch label="and mirrored" on={mirror} onChange={(on) => set({ mirror: on })} />
      {tool === 'block' && <BlockActions />}
      {/* It stands there whatever is picked: what is under the pointer must not move when a wood is. */}
      {tool !== 'block' && tool !== 'pick' && (
        <p className="pb-1.5 text-sm text-quiet">
          {brush ? 'Press places to paint them' : 'Pick a wood to paint'}; a finger held still, or the second
          button, takes it from the wall
        </p>
      )}
      {brush && selected.length > 0 && (
        <Button onClick={() => dispatch(editPiece(edit.setWood(selected, brush)))}>
          Whole of {selected.length === 1 ? `ring ${selected[0]! + 1}` : `${selected.length} rings`}
        </Button>
      )}
    </section>
  );
}
