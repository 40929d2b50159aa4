import { edit, type Mm, mm } from '@fellside/core';
import { useState } from 'react';
import { editPiece } from '../store/edits.js';
import { projectOf, woodsOf } from '../store/house.js';
import { useActions, useApp } from '../store/store.js';
import { Button } from '../ui/Button.js';
import { Choice } from '../ui/Choice.js';
import { controlClass, Field } from '../ui/Field.js';
import { LengthField } from '../ui/LengthField.js';

/** A disc let into the bottom: it hides the grip and carries name and date. */
export function LetInFields() {
  const dispatch = useActions();
  const letIn = useApp((state) => projectOf(state).letIn);
  const palette = useApp((state) => projectOf(state).palette);
  const foot = useApp((state) => projectOf(state).form.points[0]!.radiusMm);
  const woods = useApp(woodsOf);
  const [says, setSays] = useState(letIn?.says ?? '');
  const options = palette.map(
    ({ key, wood }) => [key, woods.find(({ id }) => id === wood)?.name ?? key] as const,
  );
  const now = letIn ?? { radiusMm: mm(foot / 2), depthMm: mm(3.175), wood: palette[0]!.key, says: '' };
  const set = (part: Partial<typeof now>) => dispatch(editPiece(edit.setLetIn({ ...now, ...part })));
  return (
    <section className="mb-5">
      <h2 className="mb-1 text-lg font-semibold">A disc let into the bottom</h2>
      <p className="mb-2 text-quiet">It hides where the work was gripped, and carries name and date.</p>
      {letIn ? (
        <div className="flex flex-wrap items-end gap-3">
          <LengthField
            label="Diameter of the disc"
            className="w-32"
            value={mm(2 * letIn.radiusMm)}
            onChange={(across) => set({ radiusMm: mm(across / 2) as Mm })}
          />
          <LengthField
            label="Depth of the disc"
            className="w-28"
            value={letIn.depthMm}
            onChange={(depthMm) => set({ depthMm })}
          />
          <Choice
            label="Wood of the disc"
            value={letIn.wood}
            options={options}
            onChange={(wood) => set({ wood })}
          />
          <Field label="Written on it">
            {(control) => (
              <input
                {...control}
                className={`${controlClass} w-64`}
                value={says}
                maxLength={120}
                onChange={(event) => setSays(event.target.value)}
                onBlur={() => says !== letIn.says && set({ says })}
              />
            )}
          </Field>
          <Button className="h-11!" onClick={() => dispatch(editPiece(edit.setLetIn(null)))}>
            Without the disc
          </Button>
        </div>
      ) : (
        <Button className="h-11!" onClick={() => set({})}>
          Let a disc in
        </Button>
      )}
    </section>
  );
}
