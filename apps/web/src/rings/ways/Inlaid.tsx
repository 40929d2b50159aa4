import { edit, mm, type SawnFrom } from '@fellside/core';
import { Plus, X } from 'lucide-react';
import { editPiece } from '../../store/edits.js';
import { useActions } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { Choice } from '../../ui/Choice.js';
import { LengthField } from '../../ui/LengthField.js';
import { NumberField } from '../../ui/NumberField.js';
import { OptionalLength } from '../../ui/OptionalLength.js';
import { Switch } from '../../ui/Switch.js';
import { Backing } from './Backing.js';
import { type ControlsProps, useSource } from './params.js';

type Plug = Extract<SawnFrom, { is: 'plugs' }>['plugs'][number];

const SHAPES: readonly (readonly [Plug['shape'], string])[] = [
  ['round', 'round'],
  ['square', 'square'],
  ['lozenge', 'lozenge'],
];

const NEW_PLUG: Plug = { shape: 'round', acrossMm: mm(5), asideMm: mm(0), upMm: mm(0), depthMm: mm(8) };

/** Plugs of a segment, the edge round its field, what lies behind, and the lens that swells the plugs. */
export function InlaidControls({ targets }: ControlsProps) {
  const dispatch = useActions();
  const { all, common, set } = useSource('plugs', targets);
  const first = all[0]!;
  const { plugs, edge, lens } = first;
  const lay = (next: Parameters<typeof edit.layLens>[1]) => dispatch(editPiece(edit.layLens(targets, next)));
  const change = (i: number, next: Partial<Plug>) =>
    set({ plugs: plugs.map((plug, at) => (at === i ? without({ ...plug, ...next }) : plug)) });
  return (
    <>
      {(['topMm', 'bottomMm', 'sidesMm'] as const).map((side) => (
        <LengthField
          key={side}
          label={EDGES[side]}
          className="w-20"
          value={common((p) => p.edge[side])}
          onChange={(width) => set({ edge: { ...edge, [side]: width } })}
        />
      ))}
      {plugs.map((plug, i) => (
        // Plugs have no names; their order is what they are known by.
        <fieldset
          key={i}
          aria-label={`Plug ${i + 1}`}
          className="flex flex-wrap items-end gap-2 border-l border-line pl-2"
        >
          <Choice
            label={`Plug ${i + 1}`}
            className="w-24"
            value={plug.shape}
            options={SHAPES}
            onChange={(shape) => change(i, { shape })}
          />
          <LengthField
            label="Across"
            className="w-20"
            value={plug.acrossMm}
            onChange={(acrossMm) => change(i, { acrossMm })}
          />
          <LengthField
            label="To the right"
            className="w-20"
            value={plug.asideMm}
            onChange={(asideMm) => change(i, { asideMm })}
          />
          <LengthField
            label="Up"
            className="w-20"
            value={plug.upMm}
            onChange={(upMm) => change(i, { upMm })}
          />
          <div className="w-32">
            <OptionalLength
              label="Depth, if not through"
              value={plug.depthMm}
              onChange={(depthMm) => change(i, { depthMm })}
            />
          </div>
          <Button
            aria-label={`Take plug ${i + 1} out`}
            onClick={() => set({ plugs: plugs.filter((_, at) => at !== i) })}
          >
            <X aria-hidden size={14} />
          </Button>
        </fieldset>
      ))}
      <Button onClick={() => set({ plugs: [...plugs, NEW_PLUG] })}>
        <Plus aria-hidden size={14} /> Plug
      </Button>
      <Backing is="plugs" targets={targets} />
      <Switch
        label="lens"
        on={lens !== undefined}
        onChange={(on) => (on ? lay(NEW_LENS) : set({ lens: undefined }))}
      />
      {lens &&
        LENS.map(([name, label]) => (
          <NumberField
            key={name}
            label={label}
            className="w-20"
            value={lens[name]}
            onChange={(value) => lay({ ...lens, [name]: value })}
          />
        ))}
    </>
  );
}

const NEW_LENS = { segment: 0, times: 1, segments: 4, rings: 3, swell: 2 };

const LENS = [
  ['swell', 'Swell'],
  ['segments', 'Lens, segments'],
  ['rings', 'Lens, rings'],
  ['segment', 'At segment'],
  ['times', 'Times round'],
] as const;

const EDGES = { topMm: 'Edge above', bottomMm: 'Edge below', sidesMm: 'Edge at sides' } as const;

/** A plug that goes through has no depth. */
const without = (plug: Plug): Plug => {
  const { depthMm, ...rest } = plug;
  return depthMm === undefined ? rest : plug;
};
