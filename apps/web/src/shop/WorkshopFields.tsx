import {
  CHORE_IDS,
  CHORES,
  FINISH_IDS,
  FINISHES,
  type Mm,
  type Result,
  type Shop,
  type Workshop,
} from '@fellside/core';
import { Choice } from '../ui/Choice.js';
import { LengthField } from '../ui/LengthField.js';
import { NumberField } from '../ui/NumberField.js';
import { ClimateInputs } from './ClimateInputs.js';
import { ErrorInputs, SchoolInputs } from './ErrorInputs.js';
import { HoursField } from './HoursField.js';

type Group = Exclude<keyof Workshop, 'hours' | 'school' | 'errors' | 'climate' | 'setups'>;

const LENGTHS = {
  tools: [
    ['barMm', 'Thickness of the hollowing bar'],
    ['sweepMm', 'Sweep of the hooked tool, 0: none'],
    ['handOpenMm', 'Opening for a hand'],
    ['handDeepMm', 'Depth for a hand'],
    ['fingersOpenMm', 'Opening for fingers'],
    ['fingersDeepMm', 'Depth for fingers'],
    ['calliperDeepMm', 'Depth of the callipers'],
    ['calliperBowMm', 'Bow of the callipers'],
  ],
  holding: [
    ['rimJawsMostMm', 'Widest in the rim jaws, 0: none'],
    ['fasteningMm', 'Screws into a waste block'],
    ['partingMm', 'Parting tool'],
    ['seatDeepMm', 'Depth of tenon or recess'],
  ],
} as const;

const NUMBERS = {
  equipment: [
    ['bands', 'Ring clamps', ''],
    ['presses', 'Presses', ''],
    ['plates', 'Faceplates', ''],
    ['lathes', 'Lathes', ''],
  ],
  glue: [
    ['openMinutes', 'Open time', ' min'],
    ['clampMinutes', 'In clamps', ' min'],
    ['cureHours', 'Until it is turned', ' h'],
    ['leastCelsius', 'Does not cure below', ' °C'],
    ['shopCelsius', 'The shop is at', ' °C'],
  ],
  minutes: CHORE_IDS.map(
    (chore) => [chore, CHORES[chore].charAt(0).toUpperCase() + CHORES[chore].slice(1), ' min'] as const,
  ),
  finish: [
    ['coats', 'Coats', ''],
    ['coatHours', 'Between coats', ' h'],
  ],
} as const;

const TITLES: Readonly<Record<Group, string>> = {
  tools: 'Reach inside',
  holding: 'Holding',
  equipment: 'Clamps and lathes',
  glue: 'Glue',
  minutes: 'Minutes of hands',
  finish: 'Finish',
};

interface WorkshopFieldsProps {
  readonly shop: Shop;
  readonly change: (part: Partial<Shop>) => Result<unknown>;
}

/** What the order of work and the day plan go by: reach, holding, clamps, glue, how long things take, and when there is time. */
export function WorkshopFields({ shop: { workshop }, change }: WorkshopFieldsProps) {
  const set = (group: Group, key: string, value: number) =>
    change({ workshop: { ...workshop, [group]: { ...workshop[group], [key]: value } } });
  const figureOf = (group: Group, key: string) => (workshop[group] as Readonly<Record<string, number>>)[key]!;
  return (
    <>
      {(Object.keys(TITLES) as Group[]).map((group) => (
        <section key={group}>
          <h2 className="mb-2 border-b border-line pb-1 font-semibold">{TITLES[group]}</h2>
          <div className="grid grid-cols-2 items-end gap-3">
            {group in LENGTHS
              ? LENGTHS[group as keyof typeof LENGTHS].map(([key, label]) => (
                  <LengthField
                    key={key}
                    label={label}
                    value={figureOf(group, key) as Mm}
                    onChange={(value) => set(group, key, value)}
                  />
                ))
              : NUMBERS[group as keyof typeof NUMBERS].map(([key, label, unit]) => (
                  <NumberField
                    key={key}
                    label={label}
                    unit={unit}
                    value={figureOf(group, key)}
                    onChange={(value) => set(group, key, value)}
                  />
                ))}
          </div>
        </section>
      ))}
      <section>
        <h2 className="mb-2 border-b border-line pb-1 font-semibold">Wood and room over the year</h2>
        <div className="grid grid-cols-2 items-end gap-3">
          <Choice
            label="Finish where a piece says none"
            className="w-full"
            value={workshop.finish.usual}
            options={FINISH_IDS.map((id) => [id, FINISHES[id].name] as const)}
            onChange={(usual) => {
              const { coats, coatHours } = FINISHES[usual];
              const hours = coatHours > 0 ? { coatHours } : {};
              change({ workshop: { ...workshop, finish: { ...workshop.finish, usual, coats, ...hours } } });
            }}
          />
          <ClimateInputs
            climate={workshop.climate}
            change={(climate) => change({ workshop: { ...workshop, climate } })}
          />
        </div>
      </section>
      <section>
        <h2 className="mb-2 border-b border-line pb-1 font-semibold">How far things come out</h2>
        <div className="grid grid-cols-2 items-end gap-3">
          <ErrorInputs
            errors={workshop.errors}
            set={(kind, value) =>
              change({ workshop: { ...workshop, errors: { ...workshop.errors, [kind]: value } } })
            }
          />
          <SchoolInputs
            school={workshop.school}
            change={(school) => change({ workshop: { ...workshop, school } })}
          />
        </div>
      </section>
      <section>
        <h2 className="mb-2 border-b border-line pb-1 font-semibold">Hours of the week</h2>
        <HoursField
          hours={workshop.hours}
          onChange={(hours) => change({ workshop: { ...workshop, hours } })}
        />
      </section>
    </>
  );
}
