import { done, type Result, refuse, refused } from '../measure/reason.js';
import { type Said, sayList } from '../measure/said.js';
import { type Change, run } from './commands/command.js';
import { becomes } from './commands/paletteCommands.js';
import { type Project, projectSchema } from './schema.js';

/** Whose word counts where two changed the same: neither, then the two are at odds. */
export type Prevails = 'mine' | 'theirs' | null;

/** Two edited states of one piece brought together. */
export interface Together {
  /** From theirs to both. */
  readonly change: Change;
  /** What both changed, and one prevailed in. */
  readonly both: readonly Said[];
}

const LABEL = 'Edits of two devices brought together';

/**
 * Edits that were made to one state of a piece in two places, brought together: each ring, each wood, each point by itself, so
 * that two people at different rings both keep their work. Refused with what both changed where they changed the same and nobody
 * prevails, and where what comes of it is no sound piece.
 */
export function broughtTogether(
  base: Project,
  mine: Project,
  theirs: Project,
  prevails: Prevails = null,
): Result<Together> {
  const odds: Path[] = [];
  const [was, own, other] = [base, mine, theirs].map(inOneOrder);
  const merged = merge(was, own, other, [], prevails, odds) as Project;
  const both = [...new Set(odds.map((path) => namedIn(path, theirs)))];
  if (odds.length > 0 && prevails === null)
    return refuse('both-changed', '', ['Both changed ', ...partsOf(sayList(both)), '.']);
  const change = run(theirs, becomes(merged, LABEL));
  return change.ok ? done({ change: change.value, both }) : refused(...change.reasons);
}

/** A document with its fields in the order of the schema: the server puts them so, and no order is anybody’s change. */
function inOneOrder(project: Project): Project {
  const read = projectSchema.safeParse(project);
  return read.success ? read.data : project;
}

type Path = readonly (string | number)[];
type Fields = Readonly<Record<string, unknown>>;

const partsOf = (said: Said) => (typeof said === 'string' ? [said] : said);

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const same = (a: unknown, b: unknown): boolean => a === b || JSON.stringify(a) === JSON.stringify(b);

function merge(
  base: unknown,
  mine: unknown,
  theirs: unknown,
  path: Path,
  prevails: Prevails,
  odds: Path[],
): unknown {
  if (same(mine, theirs) || same(base, mine)) return theirs;
  if (same(base, theirs)) return mine;
  if (isFields(base) && isFields(mine) && isFields(theirs) && !switched(base, mine, theirs))
    return mergeFields(base, mine, theirs, path, prevails, odds);
  const lists = [base, mine, theirs].map(namedList);
  if (lists.every((list) => list !== null))
    return mergeLists(lists as [NamedList, NamedList, NamedList], path, prevails, odds);
  odds.push(path);
  return prevails === 'mine' ? mine : theirs;
}

/** Fields that say what the others are about: where one side changed it, the whole is one thing. */
const KINDS = ['way', 'by', 'shape', 'kind'] as const;
const switched = (...all: readonly Fields[]): boolean =>
  KINDS.some((kind) => all.some((each) => each[kind] !== all[0]![kind]));

function mergeFields(
  base: Fields,
  mine: Fields,
  theirs: Fields,
  path: Path,
  prevails: Prevails,
  odds: Path[],
): Fields {
  const merged: Record<string, unknown> = {};
  for (const key of new Set([...Object.keys(theirs), ...Object.keys(mine)])) {
    const value = merge(base[key], mine[key], theirs[key], [...path, key], prevails, odds);
    if (value !== undefined) merged[key] = value;
  }
  return merged;
}

type NamedList = ReadonlyMap<string, Fields>;

/** A list whose members have names of their own: rings, bands, woods of the palette. */
function namedList(value: unknown): NamedList | null {
  if (value === undefined) return new Map();
  if (!Array.isArray(value)) return null;
  const named = new Map<string, Fields>();
  for (const each of value) {
    const name = isFields(each) ? (each.id ?? each.key) : undefined;
    if (typeof name !== 'string' || named.has(name)) return null;
    named.set(name, each);
  }
  return named;
}

function mergeLists(
  [base, mine, theirs]: readonly [NamedList, NamedList, NamedList],
  path: Path,
  prevails: Prevails,
  odds: Path[],
): readonly Fields[] {
  const order = orderOf([...base.keys()], [...mine.keys()], [...theirs.keys()]);
  if (!order) {
    odds.push(path);
    return [...(prevails === 'mine' ? mine : theirs).values()];
  }
  return order.flatMap((name) => {
    const value = merge(base.get(name), mine.get(name), theirs.get(name), [...path, name], prevails, odds);
    return value === undefined ? [] : [value as Fields];
  });
}

/** The names in the order of the side that changed it, with those that the other one added behind what they followed; null where both did. */
function orderOf(
  base: readonly string[],
  mine: readonly string[],
  theirs: readonly string[],
): string[] | null {
  const kept = (names: readonly string[]) => names.filter((name) => base.includes(name));
  const before = (names: readonly string[]) => base.filter((name) => names.includes(name));
  const moved = (names: readonly string[]) => !same(kept(names), before(names));
  if (moved(mine) && moved(theirs)) return null;
  const [lead, other] = moved(mine) ? [mine, theirs] : [theirs, mine];
  const order = [...lead];
  other.forEach((name, i) => {
    if (order.includes(name)) return;
    const after = i === 0 ? 0 : order.indexOf(other[i - 1]!) + 1;
    order.splice(after, 0, name);
  });
  return order;
}

const NAMES: Readonly<Record<string, string>> = {
  rings: 'the rings',
  form: 'the form',
  palette: 'the woods',
  motifs: 'the motifs',
  slants: 'the slanted bands',
  inlays: 'the inlays',
  blanks: 'the blanks',
  name: 'its name',
  allowances: 'the allowances',
  passport: 'the passport',
  sawnOff: 'what was sawn off',
  schools: 'how it is built',
  finish: 'the finish',
};

/** What a path is about, as people say it. */
function namedIn([first, second]: Path, { rings }: Project): string {
  if (first === 'rings' && second !== undefined) {
    const index = rings.findIndex(({ id }) => id === second);
    if (index >= 0) return `ring ${index + 1}`;
  }
  return NAMES[String(first)] ?? String(first);
}
