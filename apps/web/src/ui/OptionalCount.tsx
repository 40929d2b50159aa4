import type { Result } from '@fellside/core';
import { NumberField } from './NumberField.js';
import { Switch } from './Switch.js';

interface OptionalCountProps {
  readonly label: string;
  readonly value: number | undefined;
  readonly onChange: (value: number | undefined) => Result<unknown>;
}

/** So many are begun with. */
const FIRST = 12;

/** A number of pieces, or one piece. */
export function OptionalCount({ label, value, onChange }: OptionalCountProps) {
  return (
    <div className="flex items-end gap-2">
      <Switch
        label={`of ${label.toLowerCase()}`}
        on={value !== undefined}
        onChange={(on) => onChange(on ? FIRST : undefined)}
      />
      {value !== undefined && (
        <NumberField label={label} className="w-16" value={value} onChange={onChange} />
      )}
    </div>
  );
}
