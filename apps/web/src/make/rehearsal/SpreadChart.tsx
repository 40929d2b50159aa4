import { INCH, type Outcomes, type RingOutcomes, type Spread, type UnitSystem } from '@fellside/core';
import { BarController, BarElement, CategoryScale, Chart, LinearScale, Tooltip } from 'chart.js';
import { useState } from 'react';
import { Bar } from 'react-chartjs-2';
import { unitsOf } from '../../store/house.js';
import { useApp } from '../../store/store.js';
import { Choice } from '../../ui/Choice.js';
import { small } from './figures.js';

Chart.register(BarController, BarElement, CategoryScale, LinearScale, Tooltip);

const SHOWN = {
  leftMm: 'what is left to turn',
  stepMm: 'steps of lines to the next ring',
  gapMm: 'widest joint',
  outOfRoundMm: 'out of round',
} as const satisfies Partial<Record<keyof RingOutcomes, string>>;
type Shown = keyof typeof SHOWN;

/** In millimetres, or in thousandths of an inch. */
const scaleOf = (units: UnitSystem) =>
  units === 'mm' ? { times: 1, unit: 'mm' } : { times: 1000 / INCH, unit: 'thousandths of an inch' };

/** Where nine of ten builds lie, ring by ring, with the middling one marked. */
export function SpreadChart({ outcomes }: { outcomes: Outcomes }) {
  const units = useApp(unitsOf);
  const [shown, setShown] = useState<Shown>('leftMm');
  const { times, unit } = scaleOf(units);
  const spreads = outcomes.rings.map((ring): Spread | null => ring[shown]);
  const told = spreads.flatMap((spread, i) => (spread ? [{ spread, ring: i + 1 }] : []));
  const options = (Object.keys(SHOWN) as Shown[]).filter(
    (each) => each !== 'stepMm' || outcomes.rings.some(({ stepMm }) => stepMm),
  );
  const worst = told.reduce<(typeof told)[number] | null>(
    (most, each) =>
      most === null ||
      (shown === 'leftMm' ? each.spread.least < most.spread.least : each.spread.most > most.spread.most)
        ? each
        : most,
    null,
  );
  return (
    <figure className="mb-3">
      <Choice
        label="Ring by ring"
        className="w-full"
        value={shown}
        options={options.map((each) => [each, SHOWN[each]] as const)}
        onChange={setShown}
      />
      <div className="mt-1 h-40 rounded bg-raised">
        <Bar
          role="img"
          aria-label={`${SHOWN[shown]}, ring by ring.${worst ? ` Worst in ring ${worst.ring}: from ${small(worst.spread.least, units)} to ${small(worst.spread.most, units)} in nine of ten builds.` : ''}`}
          data={{
            labels: told.map(({ ring }) => String(ring)),
            datasets: [
              {
                label: 'nine of ten builds',
                data: told.map(({ spread }): [number, number] => [spread.least * times, spread.most * times]),
                backgroundColor: '#5b8b8d88',
                borderColor: '#2c6466',
                borderWidth: 1,
                borderSkipped: false,
              },
            ],
          }}
          options={{
            animation: false,
            maintainAspectRatio: false,
            scales: {
              x: {
                grid: { display: false },
                ticks: { color: '#5e6b6d', font: { size: 10 }, maxRotation: 0 },
              },
              y: {
                title: { display: true, text: unit, color: '#5e6b6d', font: { size: 10 } },
                ticks: { color: '#5e6b6d', font: { size: 10 } },
                beginAtZero: true,
              },
            },
            plugins: {
              tooltip: {
                callbacks: {
                  title: ([item]) => `Ring ${item?.label}`,
                  label: ({ dataIndex }) => {
                    const { least, middling, most } = told[dataIndex]!.spread;
                    return `${small(least, units)} to ${small(most, units)}, middling ${small(middling, units)}`;
                  },
                },
              },
            },
          }}
        />
      </div>
      <figcaption className="text-xs text-quiet">
        Rings from the bottom; each bar is where nine of ten builds lie.
      </figcaption>
    </figure>
  );
}
