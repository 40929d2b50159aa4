import { type Command, edit, type Mm } from '@fellside/core';
import { editPiece } from '../store/edits.js';
import { projectOf } from '../store/house.js';
import { planOf } from '../store/selectors.js';
import { useActions, useApp } from '../store/store.js';
import { FormTurntable } from '../turntable/TurntableInset.js';
import { Group, Pairs } from '../ui/Group.js';
import { LengthField } from '../ui/LengthField.js';
import { CurvePoints } from './CurvePoints.js';
import { FitToRings } from './FitToRings.js';
import { InsidePanel } from './InsidePanel.js';
import { LidPanel } from './LidPanel.js';
import { ProfileFiles } from './ProfileFiles.js';
import { Readings } from './Readings.js';
import { RecessPanel } from './RecessPanel.js';
import { UnderlayPanel } from './UnderlayPanel.js';

/** Size, wall and curve of the form. */
export function FormPanel() {
  const dispatch = useActions();
  const form = useApp((state) => projectOf(state).form);
  const allowances = useApp((state) => projectOf(state).allowances);
  const plan = useApp(planOf);
  const set = (command: (value: Mm) => Command) => (value: Mm) => dispatch(editPiece(command(value)));
  return (
    <aside
      aria-label="Form"
      className="w-72 shrink-0 overflow-y-auto border-l border-line bg-pane p-3 max-wide:w-full max-wide:border-t max-wide:border-l-0"
    >
      <FormTurntable />
      <Group title="Size">
        <Pairs>
          <LengthField
            label="Height"
            value={form.points.at(-1)!.heightMm}
            onChange={set(edit.setFormHeight)}
          />
          <LengthField
            label="Widest diameter"
            value={plan.ok ? plan.value.diameterMm : null}
            onChange={set(edit.setDiameter)}
          />
        </Pairs>
      </Group>
      <InsidePanel inside={form.inside} />
      <Readings />
      <RecessPanel form={form} />
      <LidPanel form={form} />
      <Group title="Left on for truing" folded>
        <Pairs>
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
        </Pairs>
      </Group>
      <FitToRings />
      <UnderlayPanel />
      <ProfileFiles />
      <Group title="Curve points, from the lip down">
        <CurvePoints side="outside" points={form.points} />
      </Group>
    </aside>
  );
}
