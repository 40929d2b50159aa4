import { Choice } from '../../ui/Choice.js';
import { type ControlsProps, useParams } from './params.js';

/** A globe of panels: how much of it, how its panels meet, and what is glued up first. Its size follows the form. */
export function GlobeControls({ targets }: ControlsProps) {
  const { common, set } = useParams('globe', targets);
  return (
    <>
      <Choice
        label="Globe"
        className="w-36"
        value={common((p) => p.part)}
        options={[
          ['whole', 'whole'],
          ['half', 'half, for a bowl'],
        ]}
        onChange={(part) => set({ part })}
      />
      <Choice
        label="Bevels"
        className="w-44"
        value={common((p) => p.bevels)}
        options={[
          ['half-angle', 'half the angle'],
          ['centre', 'aimed at the centre'],
        ]}
        onChange={(bevels) => set({ bevels })}
      />
      <Choice
        label="Glued up first"
        className="w-48"
        value={common((p) => p.glued)}
        options={[
          ['fives', 'five round a corner'],
          ['triplets', 'three round a triangle'],
        ]}
        onChange={(glued) => set({ glued })}
      />
    </>
  );
}
