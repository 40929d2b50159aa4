import { bandAt, type Made, type Point } from '@fellside/core';
import { outlinePath } from './outline.js';

interface Face {
  readonly made: Made;
  readonly outlines: readonly (readonly Point[])[];
}

/** Where a ring is sure to be glued to the one below: radii that both have and, where there are gaps, wood on wood. */
export function Glued({ here, under }: { here: Face; under: Face }) {
  const [above, below] = [bandAt(here.made, 0), bandAt(under.made, under.made.heightMm)];
  const outer = Math.min(above.outerRadiusMm, below.outerRadiusMm);
  const inner = Math.max(above.innerRadiusMm, below.innerRadiusMm);
  if (outer <= inner) return null;
  const circle = (r: number) => `M${r} 0A${r} ${r} 0 1 0 ${-r} 0A${r} ${r} 0 1 0 ${r} 0Z`;
  const wood = ({ made, outlines }: Face) =>
    made.closed ? circle(outer * 2) : outlines.map(outlinePath).join('');
  return (
    <>
      <clipPath id="wood-here">
        <path d={wood(here)} />
      </clipPath>
      <clipPath id="wood-below">
        <path d={wood(under)} />
      </clipPath>
      <g clipPath="url(#wood-here)">
        <path
          d={`${circle(outer)}${inner > 0 ? circle(inner) : ''}`}
          fillRule="evenodd"
          fill="var(--color-teal)"
          fillOpacity="0.3"
          clipPath="url(#wood-below)"
          data-overlap
        />
      </g>
    </>
  );
}
