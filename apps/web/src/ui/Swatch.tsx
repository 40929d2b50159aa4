import type { Species } from '@fellside/core';

/** A wood's colour with its letter, dark on pale woods and pale on dark ones. */
export function Swatch({ wood, size = 20 }: { wood: Species | undefined; size?: number }) {
  if (!wood) return null;
  return (
    <span
      aria-hidden
      className="inline-grid shrink-0 place-items-center rounded-sm border border-black/25 text-[10px] leading-none font-semibold"
      style={{ background: wood.colour, width: size, height: size, color: inkOn(wood.colour) }}
    >
      {wood.letter}
    </span>
  );
}

/** The luminance on which black and white stand out alike: (L + 0.05)² = 1.05 × 0.05. */
const EVEN = 0.179;

/** Black or white, whichever is read more easily on a colour (relative luminance, WCAG 2). */
export function inkOn(colour: string): string {
  const channel = (at: number) => {
    const share = Number.parseInt(colour.slice(at, at + 2), 16) / 255;
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4;
  };
  const luminance = 0.2126 * channel(1) + 0.7152 * channel(3) + 0.0722 * channel(5);
  return luminance > EVEN ? '#000000' : '#ffffff';
}
