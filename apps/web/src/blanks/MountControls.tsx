import { type BlankMaking, edit, type MadeBlank, mm } from '@fellside/core';
import { editPiece } from '../store/edits.js';
import { useActions } from '../store/store.js';
import { LengthField } from '../ui/LengthField.js';
import { NumberField } from '../ui/NumberField.js';
import { Switch } from '../ui/Switch.js';

type Mount = Extract<BlankMaking, { kind: 'mount' }>;
type Lengths<T> = keyof T & `${string}Mm`;

type Labelled<K> = readonly (readonly [name: K, label: string])[];

const HOLES: Labelled<Exclude<Lengths<Mount>, 'spacingMm'>> = [
  ['rodMm', 'Rods, thick'],
  ['insetMm', 'In from the sawn face'],
  ['drilledMm', 'Drilled into the half'],
  ['marginMm', 'Wood round the holes'],
];
const ANGLES: Labelled<'leanDeg' | 'sawnDeg'> = [
  ['leanDeg', 'Rods lean'],
  ['sawnDeg', 'Sawn at'],
];
const STANDS: Labelled<Exclude<Lengths<Mount>, 'spacingMm'>> = [
  ['kerfMm', 'Kerf of the saw'],
  ['apartMm', 'Halves, apart'],
  ['freeMm', 'Foot above the base'],
];
const BASE: Labelled<Lengths<Mount['base']>> = [
  ['lengthMm', 'Base, along the cut'],
  ['widthMm', 'Base, across'],
  ['heightMm', 'Base, high'],
  ['drilledMm', 'Drilled into the base'],
];

interface MountControlsProps {
  readonly index: number;
  readonly making: Mount;
  readonly made: MadeBlank | null;
}

/** How a piece is sawn into halves, the rods that they stand on, and their base. */
export function MountControls({ index, making, made }: MountControlsProps) {
  const dispatch = useActions();
  const put = (changed: Mount) => dispatch(editPiece(edit.setBlank(index, changed)));
  const set = (change: Partial<Mount>) => put({ ...making, ...change });
  const length = ([name, label]: (typeof HOLES)[number]) => (
    <LengthField
      key={name}
      label={label}
      className="w-28"
      value={making[name]}
      onChange={(value) => set({ [name]: value })}
    />
  );
  const { spacingMm, ...asWideAsTheyGo } = making;
  const apart = mm(made?.figures.find(({ key }) => key === 'rods-apart')?.value ?? 2 * making.rodMm);
  return (
    <>
      <NumberField
        label="Rods of each half"
        className="w-20"
        value={making.rods}
        onChange={(rods) => set({ rods })}
      />
      {HOLES.map(length)}
      {making.rods > 1 && (
        <Switch
          label="as far apart as fits"
          on={spacingMm === undefined}
          onChange={(on) => (on ? put(asWideAsTheyGo) : set({ spacingMm: apart }))}
        />
      )}
      {spacingMm !== undefined && (
        <LengthField
          label="Rods, apart"
          className="w-24"
          value={spacingMm}
          onChange={(value) => set({ spacingMm: value })}
        />
      )}
      {ANGLES.map(([name, label]) => (
        <NumberField
          key={name}
          label={label}
          className="w-20"
          unit="°"
          value={making[name]}
          onChange={(value) => set({ [name]: value })}
        />
      ))}
      {STANDS.map(length)}
      {BASE.map(([name, label]) => (
        <LengthField
          key={name}
          label={label}
          className="w-28"
          value={making.base[name]}
          onChange={(value) => set({ base: { ...making.base, [name]: value } })}
        />
      ))}
    </>
  );
}
