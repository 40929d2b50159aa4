import { edit, type ParamsOf } from '@fellside/core';
import { editPiece } from '../../store/edits.js';
import { useActions } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { Choice } from '../../ui/Choice.js';
import { NumberField } from '../../ui/NumberField.js';
import { Switch } from '../../ui/Switch.js';
import { shared } from '../targets.js';
import { PartsField } from './PartsField.js';
import { PlugControls } from './PlugControls.js';
import { type ControlsProps, useParams } from './params.js';

type Stands = edit.Stand | 'disc';

/** How segments stand; a disc has none. */
export const STANDS: readonly (readonly [Stands, string])[] = [
  ['round', 'flat, round a hole'],
  ['centre', 'flat, to the centre'],
  ['staves', 'on end, as staves'],
  ['halves', 'in two halves'],
  ['disc', 'none: one disc'],
];

/** How segments stand, equal or unequal, their order along the strip, a plug in the middle; how many stands in the bar. */
export function SegmentControls({ targets }: ControlsProps) {
  const dispatch = useActions();
  const { all, set } = useParams('segmented', targets);
  const stand = shared(all.map(edit.standOf));
  return (
    <>
      <Choice
        label="Segments stand"
        className="w-44"
        value={stand}
        options={STANDS}
        onChange={(next) => dispatch(editPiece(stood(targets, next)))}
      />
      {stand === 'staves' && <Lean targets={targets} />}
      {stand === 'halves' ? <Halves targets={targets} /> : <PartsField targets={targets} />}
      {canHavePlug(all) && (
        <PlugControls plugs={all.map(({ plug }) => plug)} onChange={(plug) => set({ plug })} />
      )}
      {(stand === 'round' || stand === 'centre') && (
        <div className="flex h-8 items-center">
          <Switch
            label="In order along the strip"
            on={all.every(({ inOrder }) => inOrder)}
            onChange={(on) => set({ inOrder: on || undefined })}
          />
        </div>
      )}
    </>
  );
}

const stood = (targets: readonly number[], stand: Stands) =>
  stand === 'disc' ? edit.startFrom(targets, 'disc') : edit.setStand(targets, stand);

const canHavePlug = (all: readonly ParamsOf<'segmented'>[]) =>
  all.every(({ staves, plug }) => plug !== undefined || !staves || staves.leanDeg === 0);

/** How far staves lean, by hand or as the wall does. */
function Lean({ targets }: ControlsProps) {
  const dispatch = useActions();
  const { common } = useParams('segmented', targets);
  return (
    <>
      <NumberField
        label="Lean outwards"
        className="w-22"
        unit="°"
        value={common(({ staves }) => staves?.leanDeg ?? 0)}
        onChange={(leanDeg) => dispatch(editPiece(edit.setStavesLean(targets, leanDeg)))}
      />
      <Button onClick={() => dispatch(editPiece(edit.leanLikeWall(targets)))}>Like the wall</Button>
    </>
  );
}

/** How the segments are shared out between the halves. */
function Halves({ targets }: ControlsProps) {
  const dispatch = useActions();
  const { common } = useParams('segmented', targets);
  return (
    <>
      <NumberField
        label="First half"
        className="w-22"
        value={common(({ inHalves }) => inHalves!.first)}
        onChange={(first) => dispatch(editPiece(edit.setHalves(targets, () => ({ first }))))}
      />
      <NumberField
        label="Second half"
        className="w-22"
        value={common(({ count, inHalves }) => count - inHalves!.first)}
        onChange={(second) => dispatch(editPiece(edit.setHalves(targets, () => ({ second }))))}
      />
    </>
  );
}
