import { type Climate, climateIn, REGIONS, type Region, type Result } from '@fellside/core';
import { Choice } from '../ui/Choice.js';
import { NumberField } from '../ui/NumberField.js';

const FIELDS = [
  ['boardsPercent', 'Moisture of the boards', ' %'],
  ['dryHumidity', 'Air at its driest, humidity', ' %'],
  ['dampHumidity', 'Air at its dampest, humidity', ' %'],
  ['celsius', 'The room is at', ' °C'],
] as const;

interface ClimateInputsProps {
  readonly climate: Climate;
  readonly change: (climate: Climate) => Result<unknown>;
}

const REGION_IDS = Object.keys(REGIONS) as Region[];

/** The region whose room it is; null for one of its own. */
const regionOf = (climate: Climate): Region | null =>
  REGION_IDS.find((region) => {
    const { dryHumidity, dampHumidity, boardsPercent } = climateIn(region, climate.celsius);
    return (
      dryHumidity === climate.dryHumidity &&
      dampHumidity === climate.dampHumidity &&
      boardsPercent === climate.boardsPercent
    );
  }) ?? null;

/** How dry the boards are, and the air that the piece will live in: by region, or figure by figure. */
export const ClimateInputs = ({ climate, change }: ClimateInputsProps) => (
  <>
    <Choice
      label="The room is like"
      className="w-full"
      value={regionOf(climate) ?? 'own'}
      options={[
        ...REGION_IDS.map((region) => [region, REGIONS[region].name] as const),
        ['own', 'as entered below'] as const,
      ]}
      onChange={(chosen) => chosen !== 'own' && change(climateIn(chosen, climate.celsius))}
    />
    {FIELDS.map(([key, label, unit]) => (
      <NumberField
        key={key}
        label={label}
        unit={unit}
        value={climate[key]}
        onChange={(value) => change({ ...climate, [key]: value })}
      />
    ))}
  </>
);
