import { GAPS_BEGUN, type Gap, type Result, refuse } from '@fellside/core';
import { Choice } from '../../ui/Choice.js';
import { LengthField } from '../../ui/LengthField.js';
import { NumberField } from '../../ui/NumberField.js';
import { shared } from '../targets.js';

interface GapFieldsProps {
  readonly gaps: readonly Gap[];
  readonly onChange: (gap: Gap) => Result<unknown>;
}

/** Gaps between segments: parallel or tapered, and how wide. */
export function GapFields({ gaps, onChange }: GapFieldsProps) {
  return (
    <>
      <Choice
        label="Gaps"
        className="w-28"
        value={shared(gaps.map(({ sides }) => sides))}
        options={[
          ['tapered', 'tapered'],
          ['parallel', 'parallel'],
        ]}
        onChange={(sides) => onChange(GAPS_BEGUN[sides])}
      />
      {gaps[0]!.sides === 'tapered' ? (
        <NumberField
          label="Share of the circle"
          className="w-28"
          unit=" %"
          value={shared(gaps.map((gap) => (gap.sides === 'tapered' ? gap.share * 100 : null)))}
          onChange={(percent) =>
            percent > 0 && percent < 100
              ? onChange({ sides: 'tapered', share: percent / 100 })
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
          value={shared(gaps.map((gap) => (gap.sides === 'parallel' ? gap.widthMm : null)))}
          onChange={(widthMm) => onChange({ sides: 'parallel', widthMm })}
        />
      )}
    </>
  );
}
