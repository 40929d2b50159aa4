import { mm, type Project, type Result, startProject, type UnitSystem } from '@fellside/core';

/** A first bowl, in sizes that are round in the units it is measured in. */
export const firstPiece = (units: UnitSystem): Result<Project> =>
  startProject({
    name: 'First Bowl',
    shape: 'bowl',
    ...(units === 'mm'
      ? { heightMm: mm(100), diameterMm: mm(200), wallMm: mm(8), ringHeightMm: mm(20) }
      : { heightMm: mm(101.6), diameterMm: mm(203.2), wallMm: mm(25.4 * (5 / 16)), ringHeightMm: mm(19.05) }),
    count: 12,
    woods: ['sugar-maple', 'black-walnut'],
  });
