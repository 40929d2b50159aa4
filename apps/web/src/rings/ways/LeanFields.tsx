import { edit, LEAN_BEGUN, type Leaning } from '@fellside/core';
import { editPiece } from '../../store/edits.js';
import { useActions } from '../../store/store.js';
import { Choice } from '../../ui/Choice.js';
import { NumberField } from '../../ui/NumberField.js';
import { shared } from '../targets.js';
import { type ControlsProps, useParams } from './params.js';

const CUTS: readonly (readonly [Leaning['cut'], string])[] = [
  ['two-fences', 'two fences: both hands'],
  ['same-edge', 'same edge out: one hand'],
  ['turned-over', 'strip turned over: wedges'],
];

type Stand = Leaning['hand'] | 'upright';

/** Whether joints lean by the tilt of the blade, how far, which way, and how pieces are cut then. */
export function LeanFields({ targets }: ControlsProps) {
  const dispatch = useActions();
  const { all, set } = useParams('segmented', targets);
  const lean = (change: Partial<Leaning>) => dispatch(editPiece(edit.setLean(targets, change)));
  const leaning = all.every((params) => params.lean);
  return (
    <>
      <Choice
        label="Joints lean"
        className="w-28"
        value={shared(all.map((params): Stand => params.lean?.hand ?? 'upright'))}
        options={[
          ['upright', 'upright'],
          ['right', 'right'],
          ['left', 'left'],
        ]}
        onChange={(stand) =>
          stand === 'upright'
            ? set({ lean: undefined })
            : leaning
              ? lean({ hand: stand })
              : set({ lean: { ...LEAN_BEGUN, hand: stand } })
        }
      />
      {leaning && (
        <>
          <NumberField
            label="Blade tilt"
            className="w-20"
            unit="°"
            value={shared(all.map((params) => params.lean?.tiltDeg ?? 0))}
            onChange={(tiltDeg) => lean({ tiltDeg })}
          />
          <Choice
            label="Cut with"
            className="w-60"
            value={shared(all.map((params) => params.lean!.cut))}
            options={CUTS}
            onChange={(cut) => lean({ cut })}
          />
        </>
      )}
    </>
  );
}
