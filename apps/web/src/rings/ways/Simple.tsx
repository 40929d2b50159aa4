import { LengthField } from '../../ui/LengthField.js';
import { PartsField } from './PartsField.js';
import { PlugControls } from './PlugControls.js';
import { type ControlsProps, useParams } from './params.js';
import { SpacersOrNone } from './SpacerFields.js';

/** Flat segments: equal or unequal. */
export const FlatControls = ({ targets }: ControlsProps) => <PartsField way="flat" targets={targets} />;

/** A pie: with or without a plug. */
export function PieControls({ targets }: ControlsProps) {
  const { all, set } = useParams('pie', targets);
  return <PlugControls plugs={all.map(({ plug }) => plug)} onChange={(plug) => set({ plug })} />;
}

/** Two layers: how thick the outer one is before turning. */
export function LayeredControls({ targets }: ControlsProps) {
  const { all, common, set } = useParams('layered', targets);
  return (
    <>
      <LengthField
        label="Outer layer"
        className="w-24"
        value={common(({ outerLayerMm }) => outerLayerMm)}
        onChange={(outerLayerMm) => set({ outerLayerMm })}
      />
      <SpacersOrNone all={all} onChange={(spacers) => set({ spacers })} />
    </>
  );
}

/** A ring from the stash has nothing to set: it is what it is. */
export function StockControls({ targets }: ControlsProps) {
  const { all } = useParams('stock', targets);
  return (
    <p className="self-center text-xs text-quiet">
      {all.map(({ name }) => `“${name}”`).join(', ')}: real size and woods. Make it another way and it is back
      in the stash.
    </p>
  );
}
