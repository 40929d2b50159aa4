import { boardFeet, type Species, type WoodLedger, type WoodTotal } from '@fellside/core';
import { BarController, BarElement, CategoryScale, Chart, LinearScale, Tooltip } from 'chart.js';
import { Bar } from 'react-chartjs-2';

Chart.register(BarController, BarElement, CategoryScale, LinearScale, Tooltip);

/** Where wood goes, what is thrown together for the chart; the table beside it has every step. */
export const SHARES: readonly (readonly [name: string, of: readonly (keyof WoodLedger)[], shade: number])[] =
  [
    ['In the finished piece', ['finished'], 1],
    ['Turned to shavings', ['shavings'], 0.72],
    ['Sawdust and sanding', ['faceSanding', 'kerf', 'resawing'], 0.52],
    ['Spares and other hand', ['spares', 'otherHand'], 0.4],
    ['Ends, tails, corners', ['wedges', 'corners', 'endTrim', 'tails'], 0.28],
    ['Rip kerfs, planing, allowance', ['planing', 'allowance'], 0.14],
  ];

const shareOf = (ledger: WoodLedger, of: readonly (keyof WoodLedger)[]) =>
  of.reduce((sum, key) => sum + ledger[key], 0);

/** A bar for every wood, from the finished piece to the board, in per cent of what is bought. */
export function GoesChart({ totals, woods }: { totals: readonly WoodTotal[]; woods: readonly Species[] }) {
  const bought = totals.filter(({ ledger }) => ledger.bought > 0);
  const nameOf = (id: string) => woods.find((wood) => wood.id === id)?.name ?? id;
  const colourOf = (id: string) => woods.find((wood) => wood.id === id)?.colour ?? '#666666';
  const alpha = (shade: number) =>
    Math.round(255 * shade)
      .toString(16)
      .padStart(2, '0');
  // Reduced motion or not: figures do not need to fly in.
  const words = bought
    .map(({ wood, ledger }) => {
      const [kept] = SHARES.map(([, of]) => Math.round((100 * shareOf(ledger, of)) / ledger.bought));
      return `${nameOf(wood)}: ${kept} % in the finished piece`;
    })
    .join('; ');
  return (
    <figure className="mb-3">
      <div style={{ height: 34 + 30 * bought.length }} className="wood-ground rounded">
        <Bar
          role="img"
          aria-label={`Where the wood goes. ${words}.`}
          data={{
            labels: bought.map(({ wood }) => nameOf(wood)),
            datasets: SHARES.map(([name, of, shade]) => ({
              label: name,
              data: bought.map(({ ledger }) => (100 * shareOf(ledger, of)) / ledger.bought),
              backgroundColor: bought.map(({ wood }) => `${colourOf(wood)}${alpha(shade)}`),
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
                    const feet = boardFeet((bought[dataIndex]!.ledger.bought * (parsed.x ?? 0)) / 100);
                    return `${dataset.label}: ${(parsed.x ?? 0).toFixed(1)} %, ${feet.toFixed(3)} bd ft`;
                  },
                },
              },
            },
          }}
        />
      </div>
      <figcaption className="mt-1 flex flex-wrap gap-x-3 text-xs text-quiet">
        {SHARES.map(([name, , shade]) => (
          <span key={name} className="flex items-center gap-1">
            <span
              aria-hidden
              className="inline-block size-2.5 border border-ink/50"
              style={{ background: `rgb(29 37 39 / ${shade})` }}
            />
            {name}
          </span>
        ))}
      </figcaption>
    </figure>
  );
}
