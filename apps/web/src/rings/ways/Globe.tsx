import { Choice } from '../../ui/Choice.js';
import { GlobeChoices } from './GlobeChoices.js';
import { type ControlsProps, useParams } from './params.js';

/** A globe of panels: how much of it, how its panels meet, and what is glued up first. Its size follows the form. */
export function GlobeControls({ targets }: ControlsProps) {
  const { common, set } = useParams('globe', targets);
  return (
    <>
      <GlobeChoices part={common((p) => p.part)} bevels={common((p) => p.bevels)} onChange={set} />
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
