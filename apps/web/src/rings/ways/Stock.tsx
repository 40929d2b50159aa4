import { type ControlsProps, useParams } from './params.js';

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
