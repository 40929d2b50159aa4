import { edit, mm } from '@fellside/core';
import { editPiece } from '../../store/edits.js';
import { useActions } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { LengthField } from '../../ui/LengthField.js';
import { NumberField } from '../../ui/NumberField.js';
import { Switch } from '../../ui/Switch.js';
import { type ControlsProps, useParams } from './params.js';

const NAMES = ['First half', 'Second half'] as const;

/** Segments and spacers of each half, and what lies between the halves. */
export function HalvesControls({ targets }: ControlsProps) {
  const dispatch = useActions();
  const { all, common, set } = useParams('halves', targets);
  const { halves, divider } = all[0]!;
  return (
    <>
      {NAMES.map((name, i) => {
        const change = (to: Partial<(typeof halves)[number]>) => {
          const [a, b] = halves;
          return set({ halves: i === 0 ? [{ ...a, ...to }, b] : [a, { ...b, ...to }] });
        };
        return (
          <fieldset key={name} aria-label={name} className="flex items-end gap-2">
            <NumberField
              label={`${name}: segments`}
              className="w-28"
              value={common((params) => params.halves[i]!.count)}
              onChange={(count) => change({ count })}
            />
            <LengthField
              label="spacers (0: none)"
              className="w-28"
              value={common((params) => params.halves[i]!.spacerMm)}
              onChange={(spacerMm) => change({ spacerMm })}
            />
          </fieldset>
        );
      })}
      {halves.every(({ spacerMm }) => spacerMm > 0) && (
        <Button onClick={() => dispatch(editPiece(edit.swapSecondHalf(targets)))}>
          Swap woods in the second half
        </Button>
      )}
      <div className="flex h-8 items-center">
        <Switch
          label="Divider between the halves"
          on={divider !== null}
          onChange={(on) => set({ divider: on ? { leftMm: mm(3), sawn: false, kerfMm: mm(2) } : null })}
        />
      </div>
      {divider && (
        <>
          <LengthField
            label={divider.sawn ? 'Left at each end' : 'Divider thickness'}
            className="w-28"
            value={common((params) => params.divider?.leftMm ?? null)}
            onChange={(leftMm) => set({ divider: { ...divider, leftMm } })}
          />
          <div className="flex h-8 items-center">
            <Switch
              label="Sawn in two later"
              on={divider.sawn}
              onChange={(sawn) => set({ divider: { ...divider, sawn } })}
            />
          </div>
          {divider.sawn && (
            <LengthField
              label="Kerf of that cut"
              className="w-24"
              value={common((params) => params.divider?.kerfMm ?? null)}
              onChange={(kerfMm) => set({ divider: { ...divider, kerfMm } })}
            />
          )}
        </>
      )}
    </>
  );
}
