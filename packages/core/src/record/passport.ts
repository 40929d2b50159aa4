import { landmarksOf } from '../form/landmarks.js';
import { formatLength, type UnitSystem } from '../measure/format.js';
import { mm } from '../measure/quantity.js';
import type { Plan } from '../project/plan.js';
import type { Prepared } from '../project/prepare.js';
import type { Project } from '../project/schema.js';
import type { Shop } from '../settings/shop.js';
import { finishOf } from '../shop/order/finishJobs.js';
import type { Species } from '../wood/species.js';
import { hoursIn, hoursTold } from './hours.js';
import type { JournalEntry } from './journalEntry.js';

/** What people ask of a piece at a show, and its maker wants again for the next. */
export interface Passport {
  readonly name: string;
  readonly maker: string;
  readonly number: string;
  readonly made: string;
  readonly note: string;
  readonly hours: number | null;
  readonly pieces: number;
  readonly rings: number;
  readonly heightMm: number;
  /** Diameters where people look, from the foot up; waist and neck where there are any. */
  readonly across: readonly { readonly name: string; readonly mm: number }[];
  /** Thickness of the wall where it is least and most; null where it follows a curve of its own, or is solid. */
  readonly wall: { readonly leastMm: number; readonly mostMm: number } | null;
  /** Woods by how many pieces are of them, most first. */
  readonly woods: readonly { readonly name: string; readonly latin: string; readonly pieces: number }[];
  readonly finish: { readonly name: string; readonly coats: number };
  readonly massKg: number;
}

/** The passport of a piece as it is planned, made, and turned so far; hours are those of the journal where none were entered. */
export function passportOf(
  project: Project,
  { vessel }: Pick<Prepared, 'vessel'>,
  { pieces, rings, slants, blanks, heightMm, massKg }: Plan,
  woods: readonly Species[],
  shop: Shop,
  journal: readonly JournalEntry[],
): Passport {
  const { name, form, passport, finish } = project;
  const {
    maker = '',
    number = '',
    made = '',
    note = '',
    hours = hoursTold(hoursIn(journal)),
  } = passport ?? {};
  const byWood = new Map<string, number>();
  for (const { wood, count } of [...rings, ...slants, ...blanks].flatMap((part) => part.pieces))
    byWood.set(wood, (byWood.get(wood) ?? 0) + count);
  const walls = form.inside.by === 'wall' ? form.inside.walls.map(({ wallMm }) => wallMm) : [];
  const { name: finishName, coats } = finishOf(finish, shop.workshop);
  return {
    name,
    maker,
    number,
    made,
    note,
    hours,
    pieces,
    rings: rings.length,
    heightMm,
    across: landmarksOf(vessel.outside).map(({ name, radiusMm }) => ({
      name: name === 'lip' ? 'mouth' : name,
      mm: 2 * radiusMm,
    })),
    wall: walls.length > 0 ? { leastMm: Math.min(...walls), mostMm: Math.max(...walls) } : null,
    woods: [...byWood]
      .map(([wood, pieces]) => {
        const species = woods.find(({ id }) => id === wood);
        return { name: species?.name ?? wood, latin: species?.latin ?? '', pieces };
      })
      .sort((a, b) => b.pieces - a.pieces),
    finish: { name: finishName, coats },
    massKg,
  };
}

/** The passport line by line, in the reader's units; lines with nothing on them are left out. */
export function passportRows(passport: Passport, units: UnitSystem): [label: string, value: string][] {
  const { maker, number, made, hours, pieces, rings, heightMm, across, wall, woods, finish, massKg, note } =
    passport;
  const length = (of: number) => formatLength(mm(of), units);
  const rows: [string, string][] = [
    ['Maker', maker],
    ['Number', number],
    ['Made', made],
    ['Pieces', `${pieces} in ${rings} ${rings === 1 ? 'ring' : 'rings'}`],
    ['Height', length(heightMm)],
    ['Across', across.map(({ name, mm }) => `${name} ${length(mm)}`).join(', ')],
    [
      'Wall',
      wall === null
        ? ''
        : wall.leastMm === wall.mostMm
          ? length(wall.leastMm)
          : `${length(wall.leastMm)} to ${length(wall.mostMm)}`,
    ],
    [
      'Woods',
      woods.map(({ name, latin, pieces }) => `${name}${latin ? ` (${latin})` : ''} ${pieces}`).join(', '),
    ],
    ['Finish', finish.coats > 0 ? `${finish.name}, ${finish.coats} coats` : finish.name],
    ['Weight', `${massKg.toFixed(2)} kg`],
    ['Hours', hours === null ? '' : String(hours)],
    ['Note', note],
  ];
  return rows.filter(([, value]) => value !== '');
}

/** The same as plain text, for a file or a code that is scanned; `rows` where not all of it is wanted. */
export const passportText = (
  passport: Passport,
  units: UnitSystem,
  rows = passportRows(passport, units),
): string => [passport.name, ...rows.map(([label, value]) => `${label}: ${value}`)].join('\n');
