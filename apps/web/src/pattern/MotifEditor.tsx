import { edit, type MotifNumber, type MotifUse, motifOf, type ToneName } from '@fellside/core';
import { useTargets } from '../rings/targets.js';
import { editPiece } from '../store/edits.js';
import { projectOf } from '../store/house.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { Choice } from '../ui/Choice.js';
import { Group, Pairs } from '../ui/Group.js';
import { NumberField } from '../ui/NumberField.js';
import { KeepPattern } from './BlockActions.js';
import { MotifCounts } from './MotifCounts.js';
import { ringsName } from './ringsName.js';
import { useToneChoices } from './toneChoices.js';

interface MotifEditorProps {
  readonly id: string;
  readonly use: MotifUse;
  readonly members: readonly number[];
}

/** A motif that lies over rings: its tones and numbers, the counts it goes with, and what can be done with it. */
export function MotifEditor({ id, use, members }: MotifEditorProps) {
  const dispatch = useActions();
  const { targets } = useTargets();
  const rings = useApp((state) => projectOf(state).rings);
  const motif = motifOf(use.kind)!;
  const change = (next: MotifUse) => dispatch(editPiece(edit.changeMotif(id, next)));
  const spread = targets.some((index) => rings[index]!.motif !== id);
  return (
    <Group title={`${motif.name}, ${ringsName(members)}`}>
      <Tones use={use} onChange={change} />
      <Pairs>
        {motif.numbers.map((number) => (
          <MotifValue
            key={number.key}
            number={number}
            value={use.values[number.key]!}
            onChange={(value) => change({ ...use, values: { ...use.values, [number.key]: value } })}
          />
        ))}
      </Pairs>
      <MotifCounts {...{ id, use, members }} />
      <div className="mt-2 flex flex-wrap gap-1.5">
        {spread && (
          <Button onClick={() => dispatch(editPiece(edit.spreadMotif(id, targets)))}>
            Over {ringsName(targets)}
          </Button>
        )}
        <Button
          title="It becomes painted places and follows no more"
          onClick={() => dispatch(editPiece(edit.freezeMotif(id)))}
        >
          Freeze
        </Button>
        <Button
          title="The rings show again what they were painted with"
          onClick={() => dispatch(editPiece(edit.removeMotif(id)))}
        >
          Take off
        </Button>
        <KeepPattern pattern={(name) => ({ holds: 'motif', name, motif: use })} />
      </div>
    </Group>
  );
}

interface MotifValueProps {
  readonly number: MotifNumber;
  readonly value: number;
  readonly onChange: (value: number) => ReturnType<ReturnType<typeof editPiece>>;
}

function MotifValue({ number: { label, least, choices }, value, onChange }: MotifValueProps) {
  return choices ? (
    <Choice
      label={label}
      className="w-full"
      value={String(value)}
      options={choices.map((choice, i) => [String(least + i), choice] as const)}
      onChange={(chosen) => onChange(Number(chosen))}
    />
  ) : (
    <NumberField label={label} value={value} onChange={onChange} />
  );
}

/** Which tone each part of a motif is; where more may be had, buttons add and take away. */
function Tones({ use, onChange }: { use: MotifUse; onChange: (use: MotifUse) => void }) {
  const { names, least, most } = motifOf(use.kind)!.tones;
  const choices = useToneChoices();
  const nameOf = (i: number) => names[i] ?? `${names.at(-1)} ${i + 2 - names.length}`;
  const set = (tones: readonly ToneName[]) => onChange({ ...use, tones });
  return (
    <div className="mb-2">
      <div className="flex flex-col gap-1">
        {use.tones.map((tone, i) => (
          <Choice
            key={i}
            label={nameOf(i)}
            className="w-full"
            value={tone}
            options={choices(tone)}
            onChange={(next) => set(use.tones.with(i, next))}
          />
        ))}
      </div>
      {least < most && (
        <div className="mt-1 flex gap-1.5">
          <Button disabled={use.tones.length >= most} onClick={() => set([...use.tones, 'accent'])}>
            One tone more
          </Button>
          <Button disabled={use.tones.length <= least} onClick={() => set(use.tones.slice(0, -1))}>
            One less
          </Button>
        </div>
      )}
    </div>
  );
}
