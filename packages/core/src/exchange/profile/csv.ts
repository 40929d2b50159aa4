import Papa from 'papaparse';
import type { CurvePoint } from '../../form/curve.js';
import type { Sample } from '../../form/fit.js';
import { INCH, trimZeros, type UnitSystem } from '../../measure/format.js';
import { type Result, refuse } from '../../measure/reason.js';
import { say } from '../../measure/said.js';
import { csvOf } from '../csv.js';
import { fineLine, profileFrom } from './profile.js';

/**
 * A profile as CSV (RFC 4180): radius and height of a fine line from foot to lip, and which rows are smooth points or
 * corners of the curve. The headings name the unit.
 */
export function profileCsv(points: readonly CurvePoint[], system: UnitSystem): string {
  const unit = system === 'mm' ? 'mm' : 'in';
  const size = (mm: number) => trimZeros((unit === 'mm' ? mm : mm / INCH).toFixed(unit === 'mm' ? 4 : 6));
  const rows = fineLine(points).map(({ r, z, corner, point }) => ({
    [`radius ${unit}`]: size(r),
    [`height ${unit}`]: size(z),
    point: corner ? 'corner' : point ? 'smooth' : '',
  }));
  return csvOf(rows);
}

/**
 * Reads radius and height, two columns, with or without headings. The unit is that of the headings (mm or in), else the
 * user's. A third column may mark points of the curve, smooth or corner.
 */
export function readProfileCsv(text: string, system: UnitSystem): Result<CurvePoint[]> {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true });
  const headed = data.length > 0 && data[0]!.slice(0, 2).some((cell) => !isNumber(cell));
  const heading = headed ? data[0]!.join(' ').toLowerCase() : '';
  const inches = /\bin(ch|ches)?\b/.test(heading) || (!/\bmm\b/.test(heading) && system !== 'mm');
  const unit = inches ? INCH : 1;
  const rows = headed ? data.slice(1) : data;
  const bad = rows.findIndex((row) => row.length < 2 || !isNumber(row[0]!) || !isNumber(row[1]!));
  if (bad >= 0)
    return refuse(
      'csv-row',
      '',
      say`Row ${bad + 1 + (headed ? 1 : 0)} is “${rows[bad]!.join(', ')}”; each row has a radius and a height.`,
    );
  const marks = rows.some((row) => row.length > 2);
  const line = rows.map(([r, z, mark]): Sample => {
    const place = { r: Number(r) * unit, z: Number(z) * unit };
    const kind = (mark ?? '').trim();
    return marks ? { ...place, corner: kind === 'corner', point: kind === 'smooth' } : place;
  });
  return profileFrom(line);
}

const isNumber = (cell: string): boolean => cell.trim() !== '' && Number.isFinite(Number(cell));
