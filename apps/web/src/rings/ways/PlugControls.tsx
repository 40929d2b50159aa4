import { type Mm, mm } from '@fellside/core';
import { LengthField } from '../../ui/LengthField.js';
import { Switch } from '../../ui/Switch.js';
import { shared } from '../targets.js';

interface Plug {
  readonly diameterMm: Mm;
  readonly drillMm: Mm;
}

interface PlugControlsProps {
  readonly plugs: readonly (Plug | undefined)[];
  readonly onChange: (plug: Plug | undefined) => ReturnType<Parameters<typeof LengthField>[0]['onChange']>;
}

const USUAL: Plug = { diameterMm: mm(25), drillMm: mm(25) };

/** A plug in the middle: there or not, how large, and the drill that its hole is begun with. */
export function PlugControls({ plugs, onChange }: PlugControlsProps) {
  const first = plugs[0];
  return (
    <>
      <div className="flex h-8 items-center">
        <Switch label="Plug" on={first !== undefined} onChange={(on) => onChange(on ? USUAL : undefined)} />
      </div>
      {first && (
        <>
          <LengthField
            label="Plug across"
            className="w-20"
            value={shared(plugs.map((plug) => plug?.diameterMm ?? first.diameterMm))}
            onChange={(diameterMm) =>
              onChange({ diameterMm, drillMm: first.drillMm <= diameterMm ? first.drillMm : diameterMm })
            }
          />
          <LengthField
            label="Drill"
            className="w-20"
            value={shared(plugs.map((plug) => plug?.drillMm ?? first.drillMm))}
            onChange={(drillMm) => onChange({ ...first, drillMm })}
          />
        </>
      )}
    </>
  );
}
