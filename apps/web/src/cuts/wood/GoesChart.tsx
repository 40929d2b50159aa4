import { boardFeet, type Species, type WoodAccount, woodShares } from '@fellside/core';
import { BarController, BarElement, CategoryScale, Chart, LinearScale, Tooltip } from 'chart.js';
import { Bar } from 'react-chartjs-2';

Chart.register(BarController, BarElement, CategoryScale, LinearScale, Tooltip);

/** How dark each share of the wood is drawn, in their order. */
const SHADES = [1, 0.72, 0.52, 0.4, 0.28, 0.14] as const;

interface GoesChartProps {
  readonly accounts: readonly WoodAccount[];
  readonly woods: readonly Species[];
}

/** A bar for every wood, from the segments to the boards, in per cent of the boards that are sawn. */
export function GoesChart({ accounts, woods }: GoesChartProps) {
  const sawn = accounts.filter(({ ledger }) => ledger.boards > 0);
  const nameOf = (id: string) => woods.find((wood) => wood.id === id)?.name ?? id;
  const colourOf = (id: string) => woods.find((wood) => wood.id === id)?.colour ?? '#666666';
  const goes = sawn.map(({ ledger }) => woodShares(ledger).map(({ mm3 }) => (100 * mm3) / ledger.boards));
  const names = sawn[0] ? woodShares(sawn[0].ledger).map(({ name }) => name) : [];
  const alpha = (shade: number) =>
    Math.round(255 * shade)
      .toString(16)
      .padStart(2, '0');
  // Reduced motion or not: figures do not need to fly in.
  const words = sawn
    .map(({ wood }, i) => `${nameOf(wood)}: ${Math.round(goes[i]![0]!)} % in the segments`)
    .join('; ');
  return (
    <figure className="mb-3">
      <div style={{ height: 34 + 30 * sawn.length }} className="wood-ground rounded">
        <Bar
          role="img"
          aria-label={`Where the wood goes. ${words}.`}
          data={{
            labels: sawn.map(({ wood }) => nameOf(wood)),
            datasets: names.map((name, share) => ({
              label: name,
              data: goes.map((shares) => shares[share]!),
              backgroundColor: sawn.map(({ wood }) => `${colourOf(wood)}${alpha(SHADES[share]!)}`),
              borderColor: '#1d2527',
              borderWidth: 0.5,
              barPercentage: 0.8,
            })),
          }}
          options={{
            indexAxis: 'y',
            animation: false,
            maintainAspectRatio: false,
            scales: {
              x: {
                stacked: true,
                min: 0,
                max: 100,
                ticks: { callback: (value) => `${value} %` },
                grid: { display: false },
              },
              y: { stacked: true, grid: { display: false }, ticks: { color: '#1d2527' } },
            },
            plugins: {
              tooltip: {
                callbacks: {
                  label: ({ dataset, parsed, dataIndex }) => {
                    const feet = boardFeet((sawn[dataIndex]!.ledger.boards * (parsed.x ?? 0)) / 100);
                    return `${dataset.label}: ${(parsed.x ?? 0).toFixed(1)} %, ${feet.toFixed(3)} bd ft`;
                  },
                },
              },
            },
          }}
        />
      </div>
      <figcaption className="mt-1 flex flex-wrap gap-x-3 text-xs text-quiet">
        {names.map((name, share) => (
          <span key={name} className="flex items-center gap-1">
            <span
              aria-hidden
              className="inline-block size-2.5 border border-ink/50"
              style={{ background: `rgb(29 37 39 / ${SHADES[share]})` }}
            />
            {name}
          </span>
        ))}
      </figcaption>
    </figure>
  );
}
