import type { Species } from '@fellside/core';

/** The fill of a wood in a drawing. */
export const woodFill = (wood: Species | undefined, prefix: string): string =>
  wood ? `url(#${prefix}-${wood.id})` : '#999';

const TILE = 48;
/** Heights and strengths of the grain lines of a tile; long grain runs along the segment, so they are level. */
const GRAIN: readonly (readonly [number, number])[] = [
  [5, 0.1],
  [13, 0.06],
  [19, 0.12],
  [30, 0.07],
  [38, 0.11],
  [44, 0.05],
];

/** SVG patterns for woods: colour with a quiet grain, or with the wood's hatch on top. Ids start with `prefix`. */
export function WoodPatterns({
  woods,
  hatched,
  prefix,
}: {
  woods: Iterable<Species>;
  hatched: boolean;
  prefix: string;
}) {
  return (
    <defs>
      {[...new Map([...woods].map((wood) => [wood.id, wood])).values()].map((wood) => (
        <pattern
          key={wood.id}
          id={`${prefix}-${wood.id}`}
          width={TILE}
          height={TILE}
          patternUnits="userSpaceOnUse"
        >
          <rect width={TILE} height={TILE} fill={hatched ? '#ffffff' : wood.colour} />
          {hatched ? (
            <HatchLines wood={wood} />
          ) : (
            GRAIN.map(([y, strength]) => (
              <path
                key={y}
                d={`M0 ${y}q12 ${y % 3 ? 1.6 : -1.6} 24 0t24 0`}
                stroke="#2a1a10"
                strokeOpacity={strength}
                strokeWidth="0.9"
                fill="none"
              />
            ))
          )}
        </pattern>
      ))}
    </defs>
  );
}

/** The hatch as lines across a tile, in the wood's own direction and gap. */
function HatchLines({ wood: { hatch, colour } }: { wood: Species }) {
  const dash = { solid: undefined, dashed: '6 4', dotted: '1.5 4', crossed: undefined }[hatch.line];
  const lines = (turn: number) =>
    Array.from({ length: Math.ceil((TILE * 3) / hatch.gap) }, (_, i) => (
      <line
        key={`${turn}-${i}`}
        x1={-TILE}
        x2={2 * TILE}
        y1={-TILE + i * hatch.gap}
        y2={-TILE + i * hatch.gap}
        transform={`rotate(${-hatch.angle - turn} ${TILE / 2} ${TILE / 2})`}
      />
    ));
  return (
    <g>
      <rect width={TILE} height={TILE} fill={colour} fillOpacity="0.28" />
      <g stroke="#1d2527" strokeWidth="1.1" strokeDasharray={dash}>
        {lines(0)}
        {hatch.line === 'crossed' && lines(90)}
      </g>
    </g>
  );
}
