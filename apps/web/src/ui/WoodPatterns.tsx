import type { Species } from '@fellside/core';

/** The fill of a wood in a drawing. */
export const woodFill = (wood: Species | undefined, prefix: string): string =>
  wood ? `url(#${prefix}-${wood.id})` : '#999';

interface WoodPatternsProps {
  readonly woods: Iterable<Species>;
  readonly hatched: boolean;
  /** Begins the ids of the patterns, to keep drawings on a page apart. */
  readonly prefix: string;
}

/** SVG patterns for woods: the colour with a quiet grain, or the wood's hatch. */
export function WoodPatterns({ woods, hatched, prefix }: WoodPatternsProps) {
  const distinct = new Map([...woods].map((wood) => [wood.id, wood]));
  const Pattern = hatched ? HatchPattern : GrainPattern;
  return (
    <defs>
      {[...distinct.values()].map((wood) => (
        <Pattern key={wood.id} id={`${prefix}-${wood.id}`} wood={wood} />
      ))}
    </defs>
  );
}

interface PatternProps {
  readonly id: string;
  readonly wood: Species;
}

const TILE = 48;
/** Heights and strengths of the grain lines of a tile; long grain runs along the segment, so they are level. */
const GRAIN = [
  [5, 0.1],
  [13, 0.06],
  [19, 0.12],
  [30, 0.07],
  [38, 0.11],
  [44, 0.05],
] as const;

function GrainPattern({ id, wood }: PatternProps) {
  return (
    <pattern id={id} width={TILE} height={TILE} patternUnits="userSpaceOnUse">
      <rect width={TILE} height={TILE} fill={wood.colour} />
      {GRAIN.map(([y, strength]) => (
        <path
          key={y}
          d={`M0 ${y}q12 ${y % 3 ? 1.6 : -1.6} 24 0t24 0`}
          stroke="#2a1a10"
          strokeOpacity={strength}
          strokeWidth="0.9"
          fill="none"
        />
      ))}
    </pattern>
  );
}

/** Length of a dash and its gap, px. */
const DASHES = { solid: undefined, dashed: '6 4', dotted: '1.5 3.5', crossed: undefined } as const;
/** Both dash lengths fill this evenly, so that tiles join without a seam. */
const DASH_TILE = 20;

function HatchPattern({ id, wood: { hatch, colour } }: PatternProps) {
  const width = hatch.line === 'crossed' ? hatch.gap : DASH_TILE;
  return (
    <pattern
      id={id}
      width={width}
      height={hatch.gap}
      patternUnits="userSpaceOnUse"
      patternTransform={`rotate(${-hatch.angle})`}
    >
      <rect width={width} height={hatch.gap} fill="#fff" />
      <rect width={width} height={hatch.gap} fill={colour} fillOpacity="0.28" />
      <path
        d={`M0 ${hatch.gap / 2}h${width}`}
        stroke="#1d2527"
        strokeWidth="1.1"
        strokeDasharray={DASHES[hatch.line]}
      />
      {hatch.line === 'crossed' && (
        <path d={`M${width / 2} 0v${hatch.gap}`} stroke="#1d2527" strokeWidth="1.1" />
      )}
    </pattern>
  );
}
