import { type Flex, MOST_FLEX } from '@fellside/core';

const [WIDE, HIGH] = [220, 120];
/** What is drawn beyond the working limit, as a share of it. */
const BEYOND = 1.3;

/** How far the work gives along its height: before it is hollowed, dashed, and after; the working limit, above which a steady is wanted, as a line. */
export function GiveGraph({ flex }: { flex: readonly Flex[] }) {
  const heights = flex.map(({ atMm }) => atMm);
  const [least, most] = [Math.min(0, ...heights), Math.max(...heights)];
  const widest = Math.max(
    BEYOND * MOST_FLEX,
    ...flex.flatMap(({ solid, hollowed }) => [solid, hollowed]).filter(Number.isFinite),
  );
  const x = (give: number) => (Math.min(give, widest) / widest) * WIDE;
  const y = (atMm: number) => HIGH - ((atMm - least) / (most - least)) * HIGH;
  const line = (of: (each: Flex) => number) =>
    flex.map((each, i) => `${i === 0 ? 'M' : 'L'}${x(of(each))} ${y(each.atMm)}`).join('');
  return (
    <svg
      viewBox={`-2 -4 ${WIDE + 4} ${HIGH + 8}`}
      className="w-56"
      role="img"
      aria-label="How far it gives along its height"
    >
      <path d={`M0 0V${HIGH}H${WIDE}`} fill="none" stroke="var(--color-line)" />
      <path d={`M${x(MOST_FLEX)} 0V${HIGH}`} stroke="var(--color-rust)" strokeDasharray="2 4" />
      <text x={x(MOST_FLEX) - 4} y={10} textAnchor="end" fontSize={11} fill="var(--color-rust)">
        steady
      </text>
      <path
        d={line(({ solid }) => solid)}
        fill="none"
        stroke="var(--color-quiet)"
        strokeWidth={2}
        strokeDasharray="6 4"
      />
      <path d={line(({ hollowed }) => hollowed)} fill="none" stroke="var(--color-teal)" strokeWidth={2.5} />
    </svg>
  );
}
