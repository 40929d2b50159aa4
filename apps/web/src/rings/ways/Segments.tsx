import { Switch } from '../../ui/Switch.js';
import { PartsField } from './PartsField.js';
import { PlugControls } from './PlugControls.js';
import { type ControlsProps, useParams } from './params.js';

/** Equal or unequal segments, their order along the strip, a plug in the middle; how many stands in the bar. */
export function SegmentControls({ targets }: ControlsProps) {
  const { all, set } = useParams('segmented', targets);
  return (
    <>
      <PartsField targets={targets} />
      <PlugControls plugs={all.map(({ plug }) => plug)} onChange={(plug) => set({ plug })} />
      <div className="flex h-8 items-center">
        <Switch
          label="In order along the strip"
          on={all.every(({ inOrder }) => inOrder)}
          onChange={(on) => set({ inOrder: on || undefined })}
        />
      </div>
    </>
  );
}
