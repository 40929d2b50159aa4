import type { ParamsOf } from '@fellside/core';
import { Choice } from '../../ui/Choice.js';

type Sawn = Pick<ParamsOf<'globe'>, 'part' | 'bevels'>;

interface GlobeChoicesProps {
  /** null shows that several stand behind it. */
  readonly part: Sawn['part'] | null;
  readonly bevels: Sawn['bevels'] | null;
  readonly onChange: (change: Partial<Sawn>) => void;
}

/** How much of a globe is made, and how its panels meet. */
export const GlobeChoices = ({ part, bevels, onChange }: GlobeChoicesProps) => (
  <>
    <Choice
      label="Globe"
      className="w-36"
      value={part}
      options={[
        ['whole', 'whole'],
        ['half', 'half, for a bowl'],
      ]}
      onChange={(chosen) => onChange({ part: chosen })}
    />
    <Choice
      label="Bevels"
      className="w-44"
      value={bevels}
      options={[
        ['half-angle', 'half the angle'],
        ['centre', 'aimed at the centre'],
      ]}
      onChange={(chosen) => onChange({ bevels: chosen })}
    />
  </>
);
