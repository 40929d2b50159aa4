import type { CurvePoint } from '../../form/curve.js';
import type { UnitSystem } from '../../measure/format.js';
import { type Result, refuse } from '../../measure/reason.js';
import { say } from '../../measure/said.js';
import { MOST_LETTERS } from '../drawingText.js';
import { profileCsv, readProfileCsv } from './csv.js';
import { profileDxf, readProfileDxf } from './dxf.js';
import { profileSvg, readProfileSvg } from './svg.js';

/** The formats in which an outside goes out and comes in. */
export const PROFILE_FORMATS = ['svg', 'dxf', 'csv'] as const;
export type ProfileFormat = (typeof PROFILE_FORMATS)[number];

export function writeProfile(
  points: readonly CurvePoint[],
  format: ProfileFormat,
  system: UnitSystem,
): string {
  if (format === 'svg') return profileSvg(points);
  return format === 'dxf' ? profileDxf(points) : profileCsv(points, system);
}

/** Reads a profile by the ending of its file's name. */
export function readProfile(text: string, fileName: string, system: UnitSystem): Result<CurvePoint[]> {
  if (text.length > MOST_LETTERS)
    return refuse(
      'profile-large',
      '',
      say`“${fileName}” is too large for an outline; 2 million letters are allowed.`,
    );
  const ending = fileName.toLowerCase().split('.').at(-1);
  if (ending === 'svg') return readProfileSvg(text);
  if (ending === 'dxf') return readProfileDxf(text, system);
  if (ending === 'csv' || ending === 'txt') return readProfileCsv(text, system);
  return refuse('profile-format', '', say`“${fileName}” is not an SVG, DXF or CSV file.`);
}
