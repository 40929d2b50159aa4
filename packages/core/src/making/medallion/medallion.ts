import { mm, rad } from '../../measure/quantity.js';
import { done } from '../../measure/reason.js';
import { assemble } from '../assemble.js';
import type { Making, PlaceGroup } from '../contract.js';
import { pitchOfCount } from '../segments.js';
import { farthest } from '../wedge.js';
import { layCabin, layStar } from './floors.js';
import { hasBorder, type MedallionParams, medallionParams } from './params.js';
import { floorPictures } from './pictures.js';

function groupsOf(given: MedallionParams): PlaceGroup[] {
  const { floor } = given;
  if (floor.figure === 'cabin')
    return [
      { name: 'Heart', count: 1 },
      { name: 'Log', count: 4 * floor.rounds },
    ];
  const count = floor.points;
  return [
    { name: 'Lit half', count },
    { name: 'Shaded half', count },
    { name: 'Infill', count },
    ...(hasBorder(given) ? [{ name: 'Border', count }] : []),
  ];
}

/** A floor glued up flat: a star of rhombs of two halves with infill and a border, or a log-cabin square. */
export const medallion: Making<MedallionParams> = {
  way: 'medallion',
  starts: {
    medallion: {
      name: 'Medallion floor',
      says: 'a floor glued flat: a star of light and dark halves, or a log-cabin square',
      bond: 'as-it-was',
      begin: () => ({
        way: 'medallion',
        floor: { figure: 'star', points: 8, lit: 'clockwise' },
        borderMm: mm(12),
      }),
    },
  },
  params: medallionParams,
  solid: () => true,
  strict: () => true,
  groups: groupsOf,
  segments: () => null,
  withSegments: (given) => given,
  pitch: ({ floor }) => (floor.figure === 'star' ? pitchOfCount(floor.points) : rad(Math.PI / 2)),
  tones: ({ floor, borderMm }) => {
    if (floor.figure === 'cabin')
      return Array.from({ length: 1 + 4 * floor.rounds }, (_, i) =>
        i === 0 ? 'middle' : (i - 1) % 4 < 2 ? 'light' : 'dark',
      );
    const tones = ['light', 'dark', 'middle', ...(borderMm > 0 ? (['dark'] as const) : [])] as const;
    return tones.flatMap((tone) => Array.from({ length: floor.points }, () => tone));
  },
  mirror: (given) =>
    given.floor.figure === 'cabin'
      ? { ...given, floor: { ...given.floor, laid: given.floor.laid === 'left' ? 'right' : 'left' } }
      : {
          ...given,
          floor: { ...given.floor, lit: given.floor.lit === 'clockwise' ? 'counter-clockwise' : 'clockwise' },
        },
  make(given, need) {
    const { heightMm, outerRadiusMm } = need;
    const laid =
      given.floor.figure === 'star'
        ? layStar(given, outerRadiusMm, heightMm)
        : layCabin(given, outerRadiusMm, heightMm);
    if ('refused' in laid) return laid.refused;
    const { outlines, kinds, stepOf, repeats, steps, figures } = laid;
    const corner = Math.max(...outlines.map(farthest));
    return done(
      assemble({
        heightMm,
        gives: { outerRadiusMm, innerRadiusMm: 0 },
        cornerMm: mm(corner),
        radial: false,
        repeats,
        groups: groupsOf(given),
        kinds,
        lay: (place) => ({ place, bottom: outlines[place]!, top: outlines[place]! }),
        figures,
        steps: (planing) => steps(planing),
        pictures: () => floorPictures(outlines, kinds, stepOf),
      }),
    );
  },
  instead: (given, need) =>
    given.floor.figure === 'star' && given.borderMm >= need.outerRadiusMm
      ? { ...given, borderMm: mm(need.outerRadiusMm / 5) }
      : null,
};
