import { PlugControls } from './PlugControls.js';
import { type ControlsProps, useParams } from './params.js';

/** A pie: with or without a plug. */
export function PieControls({ targets }: ControlsProps) {
  const { all, set } = useParams('pie', targets);
  return <PlugControls plugs={all.map(({ plug }) => plug)} onChange={(plug) => set({ plug })} />;
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
