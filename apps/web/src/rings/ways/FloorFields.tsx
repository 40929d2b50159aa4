import { edit, mm, type ParamsOf } from '@fellside/core';
import { editPiece } from '../../store/edits.js';
import { useActions } from '../../store/store.js';
import { Choice } from '../../ui/Choice.js';
import { LengthField } from '../../ui/LengthField.js';
import { NumberField } from '../../ui/NumberField.js';
import { shared } from '../targets.js';
import { type ControlsProps, useParams } from './params.js';

type SawnFrom = NonNullable<ParamsOf<'disc'>['sawnFrom']>;
type FloorOf<I extends SawnFrom['is']> = Extract<SawnFrom, { is: I }>;

/** Floors of one sort, and how they are changed: what differs and is not changed stays as it is. */
function useFloor<I extends SawnFrom['is']>(is: I, targets: readonly number[]) {
  const dispatch = useActions();
  const { all } = useParams('disc', targets);
  const floors = all.flatMap(({ sawnFrom }) => (sawnFrom?.is === is ? [sawnFrom as FloorOf<I>] : []));
  return {
    floors,
    common: <T,>(of: (floor: FloorOf<I>) => T): T | null => shared(floors.map(of)),
    set: (change: Parameters<typeof edit.setDiscSource<I>>[2]) =>
      dispatch(editPiece(edit.setDiscSource(targets, is, change))),
  };
}

/** Points of a star, which halves of them are lit, and the border round it. */
export function StarFields({ targets }: ControlsProps) {
  const { common, set } = useFloor('star', targets);
  return (
    <>
      <NumberField
        label="Points"
        className="w-16"
        value={common((floor) => floor.points)}
        onChange={(points) => set({ points })}
      />
      <Choice
        label="Lit halves"
        className="w-40"
        value={common((floor) => floor.lit)}
        options={[
          ['clockwise', 'clockwise'],
          ['counter-clockwise', 'counter-clockwise'],
        ]}
        onChange={(lit) => set({ lit })}
      />
      <LengthField
        label="Border"
        className="w-20"
        value={common((floor) => floor.borderMm)}
        onChange={(borderMm) => set({ borderMm })}
      />
    </>
  );
}

/** Rounds of logs, the heart they are laid round, and the way round. */
export function CabinFields({ targets }: ControlsProps) {
  const { common, set } = useFloor('cabin', targets);
  return (
    <>
      <NumberField
        label="Rounds"
        className="w-16"
        value={common((floor) => floor.rounds)}
        onChange={(rounds) => set({ rounds })}
      />
      <NumberField
        label="Heart, share"
        className="w-20"
        value={common((floor) => floor.heart)}
        onChange={(heart) => set({ heart })}
      />
      <Choice
        label="Laid to the"
        className="w-24"
        value={common((floor) => floor.laid)}
        options={[
          ['left', 'left'],
          ['right', 'right'],
        ]}
        onChange={(laid) => set({ laid })}
      />
    </>
  );
}

/** A board that several discs are scribed on is begun at most so long. */
const LONGEST = mm(900);

/** How many discs of strips are scribed on one board, where they are sliced. */
export function ScribedFields({ targets }: ControlsProps) {
  const { floors, common, set } = useFloor('strips', targets);
  return (
    <>
      <Choice
        label="Boards"
        className="w-48"
        value={common(({ longestMm }) => (longestMm === undefined ? 'own' : 'shared'))}
        options={[
          ['own', 'one for each section'],
          ['shared', 'several discs on one'],
        ]}
        onChange={(boards) => set({ longestMm: boards === 'own' ? undefined : LONGEST })}
      />
      {floors.every(({ longestMm }) => longestMm !== undefined) && (
        <LengthField
          label="Longest board"
          className="w-24"
          value={common(({ longestMm }) => longestMm!)}
          onChange={(longestMm) => set({ longestMm })}
        />
      )}
    </>
  );
}
