import { ILLUSIONS, type IllusionName } from '@fellside/core';
import { Choice } from '../../ui/Choice.js';
import { NumberField } from '../../ui/NumberField.js';
import { Backing } from './Backing.js';
import { type ControlsProps, useSource } from './params.js';

const FIGURES = Object.entries(ILLUSIONS).map(
  ([name, { name: says }]) => [name as IllusionName, says] as const,
);

/** Which solid thing the faces show, from which side, by woods or by grain. */
export function IllusionControls({ targets }: ControlsProps) {
  const { all, common, set } = useSource('illusion', targets);
  const { figure } = all[0]!;
  return (
    <>
      <Choice
        label="Illusion"
        value={common((p) => p.figure)}
        options={FIGURES}
        onChange={(next) => set({ figure: next })}
      />
      {(figure === 'blocks' || figure === 'stairs') && (
        <NumberField
          label={figure === 'blocks' ? 'Rows of blocks' : 'Steps'}
          className="w-20"
          value={common((p) => p.rows)}
          onChange={(rows) => set({ rows })}
        />
      )}
      <Choice
        label="Seen from"
        className="w-24"
        value={common((p) => p.seen)}
        options={[
          ['outside', 'outside'],
          ['inside', 'inside'],
        ]}
        onChange={(seen) => set({ seen })}
      />
      <Choice
        label="Sides differ by"
        className="w-24"
        value={common((p) => p.by)}
        options={[
          ['wood', 'wood'],
          ['grain', 'grain'],
        ]}
        onChange={(by) => set({ by })}
      />
      <Backing is="illusion" targets={targets} />
      <p className="max-w-72 self-center text-xs text-quiet">{ILLUSIONS[figure].says}.</p>
    </>
  );
}
