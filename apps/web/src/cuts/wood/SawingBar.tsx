import { edit, type Project, SANDED, type Sanded, usuallySanded } from '@fellside/core';
import { shared, useTargets } from '../../rings/targets.js';
import { editPiece } from '../../store/edits.js';
import { projectOf } from '../../store/house.js';
import { session } from '../../store/sessionSlice.js';
import { useActions, useApp } from '../../store/store.js';
import { controlClass, Field } from '../../ui/Field.js';
import { NumberField } from '../../ui/NumberField.js';

type Edge = NonNullable<NonNullable<Project['rings'][number]['sawing']>['edge']>;

const EDGES: readonly (readonly [Edge | 'usual', string])[] = [
  ['usual', 'as usual'],
  ['turned-over', 'turned over every cut'],
  ['same-edge', 'same edge out, grain runs on'],
];

const FACES: Record<Sanded, string> = { both: 'both', one: 'one', none: 'none' };
const sandedOf = ({ sanded, making }: Project['rings'][number]): Sanded => sanded ?? usuallySanded(making);

/** How the selected rings, or all, are sawn, which of their faces are sanded, and spares for them besides the shop's. */
export function SawingBar() {
  const dispatch = useActions();
  const rings = useApp((state) => projectOf(state).rings);
  const { selected, targets } = useTargets();
  const edge = shared(targets.map((index) => rings[index]!.sawing?.edge ?? 'usual'));
  return (
    <div className="mb-2 flex flex-wrap items-end gap-2">
      <p className="flex h-8 items-center gap-1.5 text-sm">
        <span className="text-quiet">For</span>
        <b>
          {targets.length === 1
            ? `ring ${targets[0]! + 1}`
            : `${selected.length === 0 ? 'all ' : ''}${targets.length} rings`}
        </b>
        {selected.length > 0 && (
          <button
            type="button"
            className="text-teal underline"
            onClick={() => dispatch(session.selected([]))}
          >
            all
          </button>
        )}
      </p>
      <Field label="Along the strip">
        {(control) => (
          <select
            {...control}
            className={`${controlClass} w-44`}
            value={edge ?? ''}
            onChange={(event) => {
              const chosen = event.target.value as Edge | 'usual';
              dispatch(editPiece(edit.setEdgeOut(targets, chosen === 'usual' ? null : chosen)));
            }}
          >
            <option value="" disabled>
              various
            </option>
            {EDGES.map(([value, name]) => (
              <option key={value} value={value}>
                {name}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Field label="Faces sanded">
        {(control) => (
          <select
            {...control}
            className={`${controlClass} w-20`}
            value={shared(targets.map((index) => sandedOf(rings[index]!))) ?? ''}
            onChange={(event) => dispatch(editPiece(edit.setSanded(targets, event.target.value as Sanded)))}
          >
            <option value="" disabled>
              various
            </option>
            {SANDED.map((faces) => (
              <option key={faces} value={faces}>
                {FACES[faces]}
              </option>
            ))}
          </select>
        )}
      </Field>
      <NumberField
        label="More spares of each"
        className="w-20"
        value={shared(targets.map((index) => rings[index]!.sawing?.spares ?? 0))}
        onChange={(spares) => dispatch(editPiece(edit.setSpares(targets, spares)))}
      />
    </div>
  );
}
