import type { SawnFrom } from '@fellside/core';
import { OptionalLength } from '../../ui/OptionalLength.js';
import { type ControlsProps, useSource } from './params.js';

interface BackingProps extends ControlsProps {
  readonly is: Exclude<SawnFrom['is'], 'layers'>;
}

/** How far behind the face a layer of another wood begins, where there is one. */
export function Backing({ is, targets }: BackingProps) {
  const { all, set } = useSource(is, targets);
  return (
    <div className="w-28">
      <OptionalLength
        label="Backing, behind"
        value={all[0]?.backingMm}
        onChange={(backingMm) => set({ backingMm })}
      />
    </div>
  );
}
