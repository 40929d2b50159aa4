import type { ParamsOf, Result } from '@fellside/core';
import { Choice } from '../../ui/Choice.js';
import { shared } from '../targets.js';
import { GapFields } from './GapFields.js';
import type { ControlsProps } from './params.js';
import { BEGIN_SPACERS, SpacerFields, thicknessOf } from './SpacerFields.js';
import { SpacerLayers } from './SpacerLayers.js';

type Tilted = ParamsOf<'tilted'>;
type Between = NonNullable<Tilted['between']>;

const BEGIN: Record<Between['put'], Between> = {
  spacers: { put: 'spacers', spacers: BEGIN_SPACERS },
  gaps: { put: 'gaps', gap: { sides: 'tapered', share: 0.2 } },
};

interface BetweenProps extends ControlsProps {
  readonly all: readonly Tilted[];
  readonly onChange: (between: Between | undefined) => Result<unknown>;
}

/** What lies in joints that lean: nothing, spacers, gaps. */
export function BetweenControls({ targets, all, onChange }: BetweenProps) {
  const put = shared(all.map(({ between }) => between?.put ?? 'nothing'));
  const given = put === null ? [] : all.flatMap(({ between }) => between ?? []);
  const spacers = given.flatMap((between) => (between.put === 'spacers' ? between.spacers : []));
  const gaps = given.flatMap((between) => (between.put === 'gaps' ? between.gap : []));
  return (
    <>
      <Choice
        label="Between segments"
        className="w-28"
        value={put}
        options={[
          ['nothing', 'nothing'],
          ['spacers', 'spacers'],
          ['gaps', 'gaps'],
        ]}
        onChange={(put) => onChange(put === 'nothing' ? undefined : BEGIN[put])}
      />
      {spacers[0] && (
        <>
          <SpacerFields
            spacers={spacers[0]}
            count={all[0]!.count}
            at={shared(spacers.map(({ at }) => at))}
            thicknessMm={shared(spacers.map(thicknessOf))}
            onChange={(spacers) => onChange({ put: 'spacers', spacers })}
          />
          <SpacerLayers
            targets={targets}
            spacers={spacers[0]}
            onChange={(spacers) => onChange({ put: 'spacers', spacers })}
          />
        </>
      )}
      {gaps.length > 0 && <GapFields gaps={gaps} onChange={(gap) => onChange({ put: 'gaps', gap })} />}
    </>
  );
}
