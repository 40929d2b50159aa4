import { mm, type ParamsOf, refuse } from '@fellside/core';
import { Choice } from '../../ui/Choice.js';
import { LengthField } from '../../ui/LengthField.js';
import { NumberField } from '../../ui/NumberField.js';
import { type ControlsProps, useParams } from './params.js';

type Gap = ParamsOf<'open'>['gap'];

const BEGIN: Record<Gap['sides'], Gap> = {
  tapered: { sides: 'tapered', share: 0.25 },
  parallel: { sides: 'parallel', widthMm: mm(6) },
};

/** Gaps between segments: parallel or tapered, and how wide. */
export function OpenControls({ targets }: ControlsProps) {
  const { all, common, set } = useParams('open', targets);
  const { gap } = all[0]!;
  return (
    <>
      <Choice
        label="Gaps"
        className="w-28"
        value={common((params) => params.gap.sides)}
        options={[
          ['tapered', 'tapered'],
          ['parallel', 'parallel'],
        ]}
        onChange={(sides) => set({ gap: BEGIN[sides] })}
      />
      {gap.sides === 'tapered' ? (
        <NumberField
          label="Share of the circle"
          className="w-28"
          unit=" %"
          value={common((params) => (params.gap.sides === 'tapered' ? params.gap.share * 100 : null))}
          onChange={(percent) =>
            percent > 0 && percent < 100
              ? set({ gap: { sides: 'tapered', share: percent / 100 } })
              : refuse(
                  'web:share',
                  'gap',
                  `Gaps take ${percent} % of the circle; it has to be between 0 and 100.`,
                )
          }
        />
      ) : (
        <LengthField
          label="Gap width"
          className="w-24"
          value={common((params) => (params.gap.sides === 'parallel' ? params.gap.widthMm : null))}
          onChange={(widthMm) => set({ gap: { sides: 'parallel', widthMm } })}
        />
      )}
    </>
  );
}
