import {
  type Between,
  betweenBegun,
  canWeave,
  edit,
  mm,
  type Result,
  type Spacers,
  spacersIn,
} from '@fellside/core';
import { useState } from 'react';
import { editPiece } from '../../store/edits.js';
import { planOf } from '../../store/selectors.js';
import { useActions, useApp } from '../../store/store.js';
import { Button } from '../../ui/Button.js';
import { Choice } from '../../ui/Choice.js';
import { LengthField } from '../../ui/LengthField.js';
import { Switch } from '../../ui/Switch.js';
import { shared } from '../targets.js';
import { GapFields } from './GapFields.js';
import { HalvesJoints } from './HalvesJoints.js';
import { LeanFields } from './LeanFields.js';
import { MixedJoints } from './MixedJoints.js';
import { type ControlsProps, useParams } from './params.js';
import { SpacerFields, thicknessOf } from './SpacerFields.js';
import { SpacerLayers } from './SpacerLayers.js';

/** A basket is a row of rings between two caps. */
const LEAST_WOVEN = 3;

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
  const spacers = spacersIn(between);
  const { count } = all[0]!;
  if (all.every(({ inHalves }) => inHalves)) return <HalvesJoints targets={targets} />;
  const choose = (next: Put): Result<unknown> =>
    set({ between: next === 'nothing' ? undefined : betweenBegun(next, count, between) });
  return (
    <>
      {all.every(({ staves }) => !staves) && <LeanFields targets={targets} />}
      <Choice label="Between segments" className="w-32" value={put} options={PUTS} onChange={choose} />
      {between?.put === 'spacers' && (
        <SpacerFields
          spacers={between.spacers}
          count={count}
          at={shared(all.map((p) => (p.between?.put === 'spacers' ? p.between.spacers.at : null)))}
          thicknessMm={shared(
            all.map((p) => (p.between?.put === 'spacers' ? thicknessOf(p.between.spacers) : null)),
          )}
          onChange={(spacers) => set({ between: { put: 'spacers', spacers } })}
        />
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
      {spacers && (
        <SpacerLayers
          targets={targets}
          layers={spacers.layers}
          thicknessMm={thicknessOf(spacers)}
          onChange={(layers) => set({ between: ofLayers(between!, layers) })}
        />
      )}
      {all.every(canWeave) && (
        <div className="flex h-8 items-center">
          <Switch
            label="Woven, as a basket"
            on={all.every(({ woven }) => woven)}
            onChange={(on) => set({ woven: on || undefined })}
          />
        </div>
      )}
      {targets.length > 1 && all.every(({ lean }) => lean) && (
        <Stripe targets={targets} woven={targets.length >= LEAST_WOVEN && all.every(({ woven }) => woven)} />
      )}
    </>
  );
}

/** The same with its spacers glued up of layers. */
const ofLayers = (between: Between, layers: NonNullable<Spacers['layers']>): Between =>
  between.put === 'spacers'
    ? { ...between, spacers: { ...between.spacers, layers } }
    : between.put === 'mixed'
      ? { ...between, layers }
      : between;

/** Turns that make a stripe run on over leaning rings, hands in turn, and a basket woven. */
function Stripe({ targets, woven }: ControlsProps & { readonly woven: boolean }) {
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
      {woven && (
        <Button onClick={() => dispatch(editPiece(edit.basketBand(targets)))}>
          Weave: turn them half on, top and bottom ring as caps
        </Button>
      )}
    </>
  );
}
