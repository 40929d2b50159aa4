import { type BlankMaking, edit, type MadeBlank, type Mm, mm } from '@fellside/core';
import { GlobeChoices } from '../rings/ways/GlobeChoices.js';
import { editPiece } from '../store/edits.js';
import { useActions } from '../store/store.js';
import { LengthField } from '../ui/LengthField.js';
import { NumberField } from '../ui/NumberField.js';
import { Switch } from '../ui/Switch.js';
import { MountControls } from './MountControls.js';

type Globe = Extract<BlankMaking, { kind: 'globe' }>;
type Bent = Extract<BlankMaking, { kind: 'bent' }>;

interface BlankControlsProps {
  readonly index: number;
  readonly making: BlankMaking;
  /** As it comes out; null where it cannot be made. */
  readonly made: MadeBlank | null;
}

/** What is set for a blank. */
export function BlankControls({ index, making, made }: BlankControlsProps) {
  switch (making.kind) {
    case 'globe':
      return <GlobeControls index={index} making={making} />;
    case 'bent':
      return <BentControls index={index} making={making} />;
    case 'mount':
      return <MountControls index={index} making={making} made={made} />;
  }
}

function GlobeControls({ index, making }: { index: number; making: Globe }) {
  const dispatch = useActions();
  const set = (change: Partial<Globe>) => dispatch(editPiece(edit.setBlank(index, { ...making, ...change })));
  return (
    <>
      <LengthField
        label="Diameter"
        className="w-24"
        value={making.diameterMm}
        onChange={(diameterMm) => set({ diameterMm })}
      />
      <LengthField
        label="Panels, thick"
        className="w-24"
        value={making.wallMm}
        onChange={(wallMm) => set({ wallMm })}
      />
      <GlobeChoices part={making.part} bevels={making.bevels} onChange={set} />
    </>
  );
}

const LENGTHS: readonly (readonly [keyof Bent & `${string}Mm`, string])[] = [
  ['outerRadiusMm', 'Tube, outer radius'],
  ['innerRadiusMm', 'Tube, inner radius'],
  ['curveMm', 'Radius of the curve'],
  ['linkAsideMm', 'Second link, aside'],
];

/** Straight lengths as they are begun. */
const STRAIGHT = { lengthMm: mm(30), rings: 2 };

function BentControls({ index, making }: { index: number; making: Bent }) {
  const dispatch = useActions();
  const { straight } = making;
  const set = ({ ...change }: Partial<Bent>) => {
    const changed = { ...making, ...change };
    if (changed.straight === undefined) delete changed.straight;
    return dispatch(editPiece(edit.setBlank(index, changed)));
  };
  return (
    <>
      {LENGTHS.map(([name, label]) => (
        <LengthField
          key={name}
          label={label}
          className="w-28"
          value={making[name]}
          onChange={(length: Mm) => set({ [name]: length })}
        />
      ))}
      <NumberField
        label="Segments"
        className="w-20"
        value={making.segments}
        onChange={(segments) => set({ segments })}
      />
      <NumberField
        label="Wedges"
        className="w-20"
        value={making.wedges}
        onChange={(wedges) => set({ wedges })}
      />
      <NumberField
        label="Sweep"
        className="w-20"
        unit="°"
        value={making.sweepDeg}
        onChange={(sweepDeg) => set({ sweepDeg })}
      />
      <Switch
        label="halves joined by straights"
        on={straight !== undefined}
        onChange={(on) => set({ straight: on ? STRAIGHT : undefined })}
      />
      {straight && (
        <>
          <LengthField
            label="Straight, long"
            className="w-24"
            value={straight.lengthMm}
            onChange={(lengthMm) => set({ straight: { ...straight, lengthMm } })}
          />
          <NumberField
            label="Its rings"
            className="w-20"
            value={straight.rings}
            onChange={(rings) => set({ straight: { ...straight, rings } })}
          />
        </>
      )}
    </>
  );
}
