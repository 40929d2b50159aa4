import { calledOf } from '../making/registry.js';
import type { UnitSystem } from '../measure/format.js';
import { plan } from '../project/plan.js';
import { prepare } from '../project/prepare.js';
import { rippingOf } from '../project/ripping.js';
import type { Project } from '../project/schema.js';
import type { JournalEntry } from '../record/journalEntry.js';
import { passportOf } from '../record/passport.js';
import type { Shop } from '../settings/shop.js';
import type { Species } from '../wood/species.js';
import { csvOf } from './csv.js';
import { writer } from './writer.js';

/** A piece as the workbook has it. Lengths mm, volumes mm³. */
export interface WorkbookRow {
  readonly id: string;
  readonly name: string;
  readonly maker: string;
  readonly number: string;
  readonly made: string;
  readonly savedAt: string;
  readonly heightMm: number;
  readonly diameterMm: number;
  readonly rings: number;
  readonly pieces: number;
  readonly woodMm3: number;
  readonly hours: number | null;
  /** Names, by how many pieces are of them. */
  readonly woods: readonly { readonly name: string; readonly pieces: number }[];
  /** Ways of making that its rings are in, by their names. */
  readonly ways: readonly string[];
}

/** A stored piece, for the workbook. */
export interface Stored {
  readonly id: string;
  readonly savedAt: string;
  readonly document: Project;
  readonly journal: readonly JournalEntry[];
}

/** The pieces that can be planned, as rows; in the order given. */
export function workbookOf(pieces: readonly Stored[], woods: readonly Species[], shop: Shop): WorkbookRow[] {
  const ripping = rippingOf(shop);
  return pieces.flatMap(({ id, savedAt, document, journal }): WorkbookRow[] => {
    const prepared = prepare(document, ripping);
    const planned = prepared.ok ? plan(document, shop, woods, prepared) : prepared;
    if (!prepared.ok || !planned.ok) return [];
    const passport = passportOf(document, prepared.value, planned.value, woods, shop, journal);
    return [
      {
        id,
        savedAt,
        name: passport.name,
        maker: passport.maker,
        number: passport.number,
        made: passport.made,
        hours: passport.hours,
        heightMm: passport.heightMm,
        diameterMm: planned.value.diameterMm,
        rings: passport.rings,
        pieces: passport.pieces,
        woodMm3: planned.value.woodMm3,
        woods: passport.woods.map(({ name, pieces }) => ({ name, pieces })),
        ways: [...new Set(document.rings.map(({ making }) => calledOf(making)))],
      },
    ];
  });
}

/** Which rows are looked for; what is null or empty is not asked. */
export interface WorkbookAsked {
  readonly text: string;
  readonly wood: string | null;
  readonly way: string | null;
  readonly year: string | null;
  /** Largest of height and diameter, mm. */
  readonly leastMm: number | null;
  readonly mostMm: number | null;
}

export const ALL_ROWS: WorkbookAsked = {
  text: '',
  wood: null,
  way: null,
  year: null,
  leastMm: null,
  mostMm: null,
};

/** The year that a piece is of: as its passport has it, else the one in which it was saved. */
export const yearOf = ({ made, savedAt }: Pick<WorkbookRow, 'made' | 'savedAt'>): string =>
  /\b\d{4}\b/.exec(made)?.[0] ?? savedAt.slice(0, 4);

/** Rows with a text in their name, number, date, woods or ways, of a wood, a way, a year, a size. */
export function foundIn(
  rows: readonly WorkbookRow[],
  { text, wood, way, year, leastMm, mostMm }: WorkbookAsked,
): WorkbookRow[] {
  const wanted = text.trim().toLowerCase();
  return rows.filter((row) => {
    const size = Math.max(row.heightMm, row.diameterMm);
    const words = [
      row.name,
      row.maker,
      row.number,
      row.made,
      ...row.woods.map(({ name }) => name),
      ...row.ways,
    ];
    return (
      words.join('\n').toLowerCase().includes(wanted) &&
      (wood === null || row.woods.some(({ name }) => name === wood)) &&
      (way === null || row.ways.includes(way)) &&
      (year === null || yearOf(row) === year) &&
      (leastMm === null || size >= leastMm) &&
      (mostMm === null || size <= mostMm)
    );
  });
}

/** Woods, ways and years that there are among rows, to choose from. */
export const choicesIn = (rows: readonly WorkbookRow[]) => {
  const sorted = (of: (row: WorkbookRow) => readonly string[]) => [...new Set(rows.flatMap(of))].sort();
  return {
    woods: sorted(({ woods }) => woods.map(({ name }) => name)),
    ways: sorted(({ ways }) => ways),
    years: sorted((row) => [yearOf(row)]).reverse(),
  };
};

/** What rows come to together, and how many pieces of every wood there are in them. */
export function workbookTotals(rows: readonly WorkbookRow[]) {
  const sum = (of: (row: WorkbookRow) => number) => rows.reduce((all, row) => all + of(row), 0);
  const woods = new Map<string, { pieces: number; works: number }>();
  for (const row of rows)
    for (const { name, pieces } of row.woods) {
      const known = woods.get(name) ?? { pieces: 0, works: 0 };
      woods.set(name, { pieces: known.pieces + pieces, works: known.works + 1 });
    }
  return {
    works: rows.length,
    pieces: sum(({ pieces }) => pieces),
    hours: sum(({ hours }) => hours ?? 0),
    woodMm3: sum(({ woodMm3 }) => woodMm3),
    woods: [...woods].map(([name, of]) => ({ name, ...of })).sort((a, b) => b.pieces - a.pieces),
  };
}

/** The workbook as CSV (RFC 4180), lengths in the shop's units. */
export function workbookCsv(rows: readonly WorkbookRow[], system: UnitSystem): string {
  const { unit, size, feet } = writer([], system);
  return csvOf(
    rows.map((row) => ({
      name: row.name,
      number: row.number,
      maker: row.maker,
      made: row.made,
      saved: row.savedAt,
      [`height ${unit}`]: size(row.heightMm),
      [`across ${unit}`]: size(row.diameterMm),
      rings: row.rings,
      pieces: row.pieces,
      'wood in it bd ft': feet(row.woodMm3),
      hours: row.hours ?? '',
      woods: row.woods.map(({ name, pieces }) => `${name} ${pieces}`).join(', '),
      'made as': row.ways.join(', '),
    })),
  );
}
