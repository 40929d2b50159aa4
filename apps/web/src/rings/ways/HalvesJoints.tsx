import { edit, mm } from '@fellside/core';
import { editPiece } from '../../store/edits.js';
import { useActions } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { LengthField } from '../../ui/LengthField.js';
import { Switch } from '../../ui/Switch.js';
import { type ControlsProps, useParams } from './params.js';

/** A divider as it is begun. */
const DIVIDER_BEGUN = { leftMm: mm(3), sawn: false, kerfMm: mm(2) };

const NAMES = ['First half', 'Second half'] as const;

/** Spacers of each half, and what lies between the halves; all rings are of two halves. */
export function HalvesJoints({ targets }: ControlsProps) {
  const dispatch = useActions();
  const { all, common } = useParams('segmented', targets);
  const { spacersMm, divider } = all[0]!.inHalves!;
  const set = (change: Parameters<typeof edit.setHalves>[1]) =>
    dispatch(editPiece(edit.setHalves(targets, change)));
  const divide = (change: Partial<typeof DIVIDER_BEGUN>) =>
    set(({ divider }) => ({ divider: divider && { ...divider, ...change } }));
  return (
    <>
      {NAMES.map((name, i) => (
        <LengthField
          key={name}
          label={`${name}: spacers (0: none)`}
          className="w-44"
          value={common(({ inHalves }) => inHalves!.spacersMm[i]!)}
          onChange={(thickMm) =>
            set(({ spacersMm: [a, b] }) => ({ spacersMm: i === 0 ? [thickMm, b] : [a, thickMm] }))
          }
        />
      ))}
      {spacersMm.every((spacerMm) => spacerMm > 0) && (
        <Button onClick={() => dispatch(editPiece(edit.swapSecondHalf(targets)))}>
          Swap woods in the second half
        </Button>
      )}
      <div className="flex h-8 items-center">
        <Switch
          label="Divider between the halves"
          on={divider !== null}
          onChange={(on) => set(() => ({ divider: on ? DIVIDER_BEGUN : null }))}
        />
      </div>
      {divider && (
        <>
          <LengthField
            label={divider.sawn ? 'Left at each end' : 'Divider thickness'}
            className="w-28"
            value={common(({ inHalves }) => inHalves!.divider?.leftMm ?? null)}
            onChange={(leftMm) => divide({ leftMm })}
          />
          <div className="flex h-8 items-center">
            <Switch label="Sawn in two later" on={divider.sawn} onChange={(sawn) => divide({ sawn })} />
          </div>
          {divider.sawn && (
            <LengthField
              label="Kerf of that cut"
              className="w-24"
              value={common(({ inHalves }) => inHalves!.divider?.kerfMm ?? null)}
              onChange={(kerfMm) => divide({ kerfMm })}
            />
          )}
        </>
      )}
    </>
  );
}
