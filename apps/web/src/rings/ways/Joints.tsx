import { type Between, edit, jointingOf, mm, type Result } from '@fellside/core';
import { useState } from 'react';
import { editPiece } from '../../store/edits.js';
import { planOf } from '../../store/selectors.js';
import { useActions, useApp } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { Choice } from '../../ui/Choice.js';
import { LengthField } from '../../ui/LengthField.js';
import { shared } from '../targets.js';
import { GapFields } from './GapFields.js';
import { LeanFields } from './LeanFields.js';
import { MixedJoints } from './MixedJoints.js';
import { type ControlsProps, useParams } from './params.js';
import { BEGIN_SPACERS, SpacerFields, thicknessOf } from './SpacerFields.js';
import { SpacerLayers } from './SpacerLayers.js';

type Put = Between['put'] | 'nothing';

const PUTS: readonly (readonly [Put, string])[] = [
  ['nothing', 'nothing'],
  ['spacers', 'spacers'],
  ['gaps', 'gaps'],
  ['mixed', 'joint by joint'],
];

/** Joints that stand or lean, and what they hold. */
export function JointControls({ targets }: ControlsProps) {
  const { all, set } = useParams('segmented', targets);
  const put = shared(all.map(({ between }): Put => between?.put ?? 'nothing'));
  const between = put === null ? undefined : all[0]!.between;
  const { count } = all[0]!;
  const choose = (next: Put): Result<unknown> => set({ between: begun(next, count, between) });
  return (
    <>
      <LeanFields targets={targets} />
      <Choice label="Between segments" className="w-32" value={put} options={PUTS} onChange={choose} />
      {between?.put === 'spacers' && (
        <>
          <SpacerFields
            spacers={between.spacers}
            count={count}
            at={shared(all.map((p) => (p.between?.put === 'spacers' ? p.between.spacers.at : null)))}
            thicknessMm={shared(
              all.map((p) => (p.between?.put === 'spacers' ? thicknessOf(p.between.spacers) : null)),
            )}
            onChange={(spacers) => set({ between: { put: 'spacers', spacers } })}
          />
          <SpacerLayers
            targets={targets}
            layers={between.spacers.layers}
            thicknessMm={thicknessOf(between.spacers)}
            onChange={(layers) => {
              const { layers: _, ...spacers } = between.spacers;
              return set({ between: { put: 'spacers', spacers: { ...spacers, ...(layers && { layers }) } } });
            }}
          />
        </>
      )}
      {between?.put === 'gaps' && (
        <GapFields
          gaps={all.flatMap((p) => (p.between?.put === 'gaps' ? [p.between.gap] : []))}
          onChange={(gap) => set({ between: { put: 'gaps', gap } })}
        />
      )}
      {between?.put === 'mixed' && (
        <MixedJoints
          joints={between.joints}
          count={count}
          onChange={(joints) => set({ between: { ...between, joints } })}
        />
      )}
      {targets.length > 1 && all.every(({ lean }) => lean) && <Stripe targets={targets} />}
    </>
  );
}

/** What joints hold when it is chosen; joint by joint it begins with what they hold already. */
function begun(put: Put, count: number, now: Between | undefined): Between | undefined {
  if (put === 'nothing') return undefined;
  if (put === 'spacers') return { put, spacers: BEGIN_SPACERS };
  if (put === 'gaps') return { put, gap: { sides: 'tapered', share: 0.2 } };
  const { thicknesses, wood } = jointingOf(count, now);
  const held = thicknesses.flatMap((thick, joint) =>
    thick > 0
      ? [{ joint, holds: wood[joint]! > 0 ? ('spacer' as const) : ('gap' as const), thicknessMm: mm(thick) }]
      : [],
  );
  const opposite = [0, Math.floor(count / 2)].map((joint) => ({
    joint,
    holds: 'spacer' as const,
    thicknessMm: mm(3),
  }));
  return { put, joints: held.length > 0 ? held : opposite };
}

/** Turns that make a stripe run on over leaning rings, and hands in turn. */
function Stripe({ targets }: ControlsProps) {
  const dispatch = useActions();
  const plan = useApp(planOf);
  const walls = plan.ok ? targets.flatMap((index) => plan.value.rings[index]?.wall.outerRadiusMm ?? []) : [];
  const [chosen, choose] = useState<number | null>(null);
  const radiusMm = mm(chosen ?? (walls.length > 0 ? Math.max(...walls) : 50));
  return (
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
  );
}
