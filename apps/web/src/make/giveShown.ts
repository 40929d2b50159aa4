import { formatLength, INCH, LIGHT_CUT, mm, type UnitSystem } from '@fellside/core';

/** How far work that gives so much a newton moves under a light cut, to what a turner feels. */
export function giveShown(perNewton: number, units: UnitSystem): string {
  if (!Number.isFinite(perNewton)) return 'nothing holds it';
  const least = units === 'mm' ? 0.01 : 0.001 * INCH;
  const moved = perNewton * LIGHT_CUT;
  const shown = formatLength(mm(Math.max(least, moved)), units === 'mm' ? 'mm' : 'inch-decimal');
  return `${moved < least ? '< ' : ''}${shown}`;
}
