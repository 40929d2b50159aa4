import { type Command, edit, litres, type Mm } from '@fellside/core';
import type { ReactNode } from 'react';
import { editPiece } from '../store/edits.js';
import { planOf, projectOf } from '../store/selectors.js';
import { useActions, useApp } from '../store/store.js';
import { LengthField } from '../ui/LengthField.js';
import { CurvePoints } from './CurvePoints.js';

/** Size, wall and curve of the form. */
export function FormPanel() {
  const dispatch = useActions();
  const { form, allowances } = useApp(projectOf);
  const plan = useApp(planOf);
  const set = (command: (value: Mm) => Command) => (value: Mm) => dispatch(editPiece(command(value)));
  const diameter = plan.ok ? plan.value.diameterMm : null;
  return (
    <aside aria-label="Form" className="w-72 shrink-0 overflow-y-auto border-l border-line bg-pane p-3">
      <Group title="Size">
        <LengthField label="Height" value={form.points.at(-1)!.heightMm} onChange={set(edit.setFormHeight)} />
        <LengthField label="Widest diameter" value={diameter} onChange={set(edit.setDiameter)} />
        <LengthField label="Wall, square to curve" value={form.wallMm} onChange={set(edit.setWall)} />
        <LengthField label="Floor" value={form.floorMm} onChange={set(edit.setFloor)} />
      </Group>
      <Readings />
      <Group title="Left on for truing">
        <LengthField
          label="Outside"
          value={allowances.outsideMm}
          onChange={set((value) => edit.setAllowance('outsideMm', value))}
        />
        <LengthField
          label="Inside"
          value={allowances.insideMm}
          onChange={set((value) => edit.setAllowance('insideMm', value))}
        />
      </Group>
      <CurvePoints />
    </aside>
  );
}

function Group({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="mb-4">
      <h2 className="mb-1 font-semibold">{title}</h2>
      <div className="grid grid-cols-2 items-end gap-x-3 gap-y-2">{children}</div>
    </section>
  );
}

/** What follows from the form: how much it holds and weighs. */
function Readings() {
  const plan = useApp(planOf);
  if (!plan.ok) return null;
  const { capacityMm3, massKg } = plan.value;
  return (
    <p className="-mt-2 mb-4 text-sm text-quiet">
      Holds <b className="text-ink">{litres(capacityMm3).toFixed(2)} l</b>, weighs about{' '}
      <b className="text-ink">{massKg.toFixed(2)} kg</b>.
    </p>
  );
}
