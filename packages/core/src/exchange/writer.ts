import { INCH, trimZeros, type UnitSystem } from '../measure/format.js';
import { degrees, rad } from '../measure/quantity.js';
import { boardFeet } from '../measure/volume.js';
import type { Species } from '../wood/species.js';

/** Words and figures as every table of a file has them; an empty cell for what is not there. */
export function writer(woods: readonly Species[], system: UnitSystem) {
  const unit = system === 'mm' ? 'mm' : 'in';
  const names = new Map(woods.map(({ id, name }) => [id, name]));
  return {
    unit,
    size: (mm: number | null) =>
      mm === null ? '' : trimZeros(unit === 'mm' ? mm.toFixed(2) : (mm / INCH).toFixed(3)),
    angle: (radians: number | null) => (radians === null ? '' : trimZeros(degrees(rad(radians)).toFixed(2))),
    wood: (id: string) => names.get(id) ?? id,
    feet: (volume: number) => trimZeros(boardFeet(volume).toFixed(4)),
  };
}
