import type { ParamsOf } from '@fellside/core';
import { Choice } from '../../ui/Choice.js';
import { LengthField } from '../../ui/LengthField.js';
import { NumberField } from '../../ui/NumberField.js';
import { type ControlsProps, useParams } from './params.js';

type Floor = ParamsOf<'medallion'>['floor'];

const BEGUN: Record<Floor['figure'], Floor> = {
  star: { figure: 'star', points: 8, lit: 'clockwise' },
  cabin: { figure: 'cabin', rounds: 5, heart: 0.15, laid: 'left' },
};

/** A star or a log cabin, and the border round the star. */
export function MedallionControls({ targets }: ControlsProps) {
  const { all, common, set } = useParams('medallion', targets);
  const { floor } = all[0]!;
  return (
    <>
      <Choice
        label="Floor"
        className="w-28"
        value={common((p) => p.floor.figure)}
        options={[
          ['star', 'star'],
          ['cabin', 'log cabin'],
        ]}
        onChange={(figure) => set({ floor: BEGUN[figure] })}
      />
      {floor.figure === 'star' ? (
        <>
          <NumberField
            label="Points"
            className="w-16"
            value={floor.points}
            onChange={(points) => set({ floor: { ...floor, points } })}
          />
          <Choice
            label="Lit halves"
            className="w-36"
            value={floor.lit}
            options={[
              ['clockwise', 'clockwise'],
              ['counter-clockwise', 'counter-clockwise'],
            ]}
            onChange={(lit) => set({ floor: { ...floor, lit } })}
          />
          <LengthField
            label="Border"
            className="w-20"
            value={common((p) => p.borderMm)}
            onChange={(borderMm) => set({ borderMm })}
          />
        </>
      ) : (
        <>
          <NumberField
            label="Rounds"
            className="w-16"
            value={floor.rounds}
            onChange={(rounds) => set({ floor: { ...floor, rounds } })}
          />
          <NumberField
            label="Heart, share"
            className="w-20"
            value={floor.heart}
            onChange={(heart) => set({ floor: { ...floor, heart } })}
          />
          <Choice
            label="Laid to the"
            className="w-24"
            value={floor.laid}
            options={[
              ['left', 'left'],
              ['right', 'right'],
            ]}
            onChange={(laid) => set({ floor: { ...floor, laid } })}
          />
        </>
      )}
    </>
  );
}
