import { edit, mm, type ParamsOf } from '@fellside/core';
import { useState } from 'react';
import { editPiece } from '../../store/edits.js';
import { planOf } from '../../store/selectors.js';
import { useActions, useApp } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { Choice } from '../../ui/Choice.js';
import { LengthField } from '../../ui/LengthField.js';
import { NumberField } from '../../ui/NumberField.js';
import { BetweenControls } from './Between.js';
import { PlugControls } from './PlugControls.js';
import { type ControlsProps, useParams } from './params.js';

const CUTS: readonly (readonly [ParamsOf<'tilted'>['cut'], string])[] = [
  ['two-fences', 'two fences: both hands'],
  ['same-edge', 'same edge out: one hand'],
  ['turned-over', 'strip turned over: wedges'],
];

/** Tilt of the blade, which way joints lean, how pieces are cut; turns that make a stripe run on. */
export function TiltedControls({ targets }: ControlsProps) {
  const dispatch = useActions();
  const plan = useApp(planOf);
  const { all, common, set } = useParams('tilted', targets);
  const walls = plan.ok ? targets.flatMap((index) => plan.value.rings[index]?.wall.outerRadiusMm ?? []) : [];
  const [chosen, choose] = useState<number | null>(null);
  const radiusMm = mm(chosen ?? (walls.length > 0 ? Math.max(...walls) : 50));
  return (
    <>
      <NumberField
        label="Blade tilt"
        className="w-20"
        unit="°"
        value={common(({ tiltDeg }) => tiltDeg)}
        onChange={(tiltDeg) => set({ tiltDeg })}
      />
      <Choice
        label="Joints lean"
        className="w-24"
        value={common(({ hand }) => hand)}
        options={[
          ['right', 'right'],
          ['left', 'left'],
        ]}
        onChange={(hand) => set({ hand })}
      />
      <Choice
        label="Cut with"
        className="w-56"
        value={common(({ cut }) => cut)}
        options={CUTS}
        onChange={(cut) => set({ cut })}
      />
      <BetweenControls targets={targets} all={all} onChange={(between) => set({ between })} />
      <PlugControls plugs={all.map(({ plug }) => plug)} onChange={(plug) => set({ plug })} />
      {targets.length > 1 && (
        <>
          <LengthField
            label="Stripe meets at radius"
            className="w-28"
            value={radiusMm}
            onChange={(radius) => {
              choose(radius);
              return dispatch(editPiece(edit.runStripe(targets, radius)));
            }}
          />
          <Button onClick={() => dispatch(editPiece(edit.runStripe(targets, radiusMm)))}>
            Run the stripe on
          </Button>
          <Button onClick={() => dispatch(editPiece(edit.alternateHands(targets)))}>
            Left and right in turn
          </Button>
        </>
      )}
    </>
  );
}
