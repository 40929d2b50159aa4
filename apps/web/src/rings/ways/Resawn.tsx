import { projectOf } from '../../store/house.js';
import { useApp } from '../../store/store.js';
import { LengthField } from '../../ui/LengthField.js';
import { PartsField } from './PartsField.js';
import { type ControlsProps, useParams } from './params.js';
import { SpacersOrNone } from './SpacerFields.js';

/** What resawing takes; which rings come off the same thick one. */
export function ResawnControls({ targets }: ControlsProps) {
  const rings = useApp((state) => projectOf(state).rings);
  const { all, common, set } = useParams('resawn', targets);
  const { from } = all[0]!;
  const slices = rings.flatMap(({ making }, i) =>
    making.way === 'resawn' && making.from === from ? [i + 1] : [],
  );
  return (
    <>
      <LengthField
        label="Resaw kerf"
        className="w-24"
        value={common(({ kerfMm }) => kerfMm)}
        onChange={(kerfMm) => set({ kerfMm })}
      />
      <LengthField
        label="Clean-up in all"
        className="w-24"
        value={common(({ cleanUpMm }) => cleanUpMm)}
        onChange={(cleanUpMm) => set({ cleanUpMm })}
      />
      <PartsField way="resawn" targets={targets} />
      <SpacersOrNone all={all} onChange={(spacers) => set({ spacers })} />
      <p className="max-w-72 self-center text-xs text-quiet">
        {common((params) => params.from) === null
          ? 'Slices of several thick rings.'
          : `Slices of one thick ring: ${slices.join(', ')}. What is changed in one, woods too, changes in all; each has its own turn.`}
      </p>
    </>
  );
}
