import { PlugControls } from './PlugControls.js';
import { type ControlsProps, useParams } from './params.js';
import { SpacerFields, thicknessOf } from './SpacerFields.js';
import { SpacerLayers } from './SpacerLayers.js';

/** Which joints have spacers, how thick they are, a plug. */
export function SpacedControls({ targets }: ControlsProps) {
  const { all, common, set } = useParams('spaced', targets);
  const { spacers, count } = all[0]!;
  return (
    <>
      <SpacerFields
        spacers={spacers}
        count={count}
        at={common((params) => params.spacers.at)}
        thicknessMm={common((params) => thicknessOf(params.spacers))}
        onChange={(spacers) => set({ spacers })}
      />
      <SpacerLayers targets={targets} spacers={spacers} onChange={(spacers) => set({ spacers })} />
      <PlugControls plugs={all.map(({ plug }) => plug)} onChange={(plug) => set({ plug })} />
    </>
  );
}
