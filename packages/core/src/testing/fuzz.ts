import { blankPlaces } from '../blank/registry.js';
import { demoProjects } from '../demo/index.js';
import { readOutline } from '../exchange/outlineFile.js';
import { readPatternFile, writePatternFile } from '../exchange/patternFile.js';
import { PROFILE_FORMATS, readProfile, writeProfile } from '../exchange/profile/formats.js';
import { readProjectFile, writeProjectFile } from '../exchange/projectFile.js';
import { readBoardsCsv } from '../exchange/readBoardsCsv.js';
import { demandsOf } from '../lumber/layout/demand.js';
import { greedy } from '../lumber/layout/greedy.js';
import { begun, placesOf, type RingMaking, START_IDS } from '../making/registry.js';
import type { Reason } from '../measure/reason.js';
import { readProject } from '../project/inspect.js';
import { judged } from '../project/judged.js';
import { plan } from '../project/plan.js';
import { rollOf } from '../ring/owner.js';
import { DEFAULT_SHOP, type Shop, shopSchema } from '../settings/shop.js';
import { SHIPPED_WOODS } from '../wood/catalogue.js';

const DEMOS = demoProjects();

/** Mulberry32: the same numbers for the same seed on every machine. */
export function random(seed: number): () => number {
  let s = seed >>> 0;
  return () => {
    s = (s + 0x6d2b79f5) | 0;
    let t = Math.imul(s ^ (s >>> 15), 1 | s);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** Numbers at which loops, divisions and roundings go wrong. */
const NUMBERS = [
  0,
  -0,
  5e-324,
  -5e-324,
  1e-300,
  1e-12,
  1e-7,
  1e-4,
  0.01,
  0.5,
  1,
  2,
  3,
  7,
  12,
  60,
  360,
  400,
  1000,
  3e8,
  1e15,
  1e300,
  1.7976931348623157e308,
  -1,
  -0.5,
  -400,
  2 ** 31,
  2 ** 53,
];
const OTHERS: readonly unknown[] = [
  null,
  true,
  '',
  'x',
  '=1+1',
  'a\nb',
  '\u0000',
  [],
  {},
  [[]],
  'x'.repeat(5000),
];

type Holder = Record<string, unknown> | unknown[];

/** Every place in a document that can be changed: what holds it, and its key there. */
function placesIn(document: unknown): { readonly holder: Holder; readonly key: string | number }[] {
  const open: unknown[] = [document];
  const places: { holder: Holder; key: string | number }[] = [];
  for (let next = open.pop(); next !== undefined; next = open.pop()) {
    if (typeof next !== 'object' || next === null) continue;
    const holder = next as Holder;
    const keys = Array.isArray(holder) ? holder.map((_, i) => i) : Object.keys(holder);
    for (const key of keys.slice(0, 60)) {
      places.push({ holder, key });
      open.push((holder as Record<string | number, unknown>)[key]);
    }
  }
  return places;
}

/** A document made from a demo piece by a few changes at random places, most of them to numbers. */
export function mangled(seed: number): { readonly document: unknown; readonly shop: unknown } {
  const draw = random(seed);
  const pick = <T>(of: readonly T[]): T => of[Math.floor(draw() * of.length)]!;
  const document: unknown = structuredClone(pick(DEMOS));
  const shop: unknown = structuredClone(DEFAULT_SHOP);
  // Most with a few rings only: what goes wrong goes wrong in one, and more can be tried.
  const all = document as { rings: { id: string; making: unknown }[] };
  if (draw() < 0.85) {
    const from = Math.floor(draw() * all.rings.length);
    all.rings = all.rings.slice(from, from + 1 + Math.floor(draw() * 3));
  }
  if (draw() < 0.3) {
    const ring = pick(all.rings);
    // A copy: what ways begin with is shared, and is changed below.
    const begins = begun(pick(START_IDS), { segments: pick([3, 6, 12, 24, 60]), body: 'a' });
    ring.making = structuredClone(begins) ?? ring.making;
  }
  const changes = 1 + Math.floor(draw() * 3);
  for (let n = 0; n < changes; n++) {
    const within = draw() < 0.15 ? shop : document;
    const { holder, key } = pick(placesIn(within));
    const at = holder as Record<string | number, unknown>;
    const value = at[key];
    const roll = draw();
    if (typeof value === 'number' && roll < 0.9)
      at[key] = roll < 0.6 ? pick(NUMBERS) : value * pick([1e-6, 0.1, 0.5, 2, 10, -1]);
    else if (Array.isArray(holder) && roll < 0.5) {
      if (roll < 0.2) holder.splice(Number(key), 1);
      else holder.push(structuredClone(value));
    } else if (roll < 0.75) at[key] = pick(OTHERS);
    else if (roll < 0.9) at[key] = structuredClone(pick(NUMBERS));
    else if (!Array.isArray(holder)) delete at[key];
  }
  return { document, shop };
}

export type Outcome = 'refused' | 'planned' | 'not planned';

/**
 * What became of a mangled document: read, planned and laid out at once. One that is refused is brought to the limits that
 * its refusals name, and tried again: so the edges of what is allowed are met. Throws where a number is none.
 */
export function probed({ document, shop }: { document: unknown; shop: unknown }): Outcome {
  let read = readProject(document);
  for (let round = 0; round < 6 && !read.ok; round++) {
    if (!read.reasons.map((reason) => mended(document, reason)).some(Boolean)) return 'refused';
    read = readProject(document);
  }
  if (!read.ok) return 'refused';
  let figures = judged(shopSchema, shop);
  if (!figures.ok && figures.reasons.map((reason) => mended(shop, reason)).some(Boolean))
    figures = judged(shopSchema, shop);
  const usual: Shop = figures.ok ? figures.value : DEFAULT_SHOP;
  const planned = plan(read.value, usual);
  if (!planned.ok) return 'not planned';
  const wrong = strangeNumber(planned.value);
  if (wrong) throw new Error(`The plan has no number at ${wrong}.`);
  const demands = demandsOf(planned.value.lumber, [], usual, rollOf(planned.value), {
    goal: 'cost',
    buying: true,
  });
  for (const demand of demands) {
    const laid = strangeNumber(greedy(demand.problem));
    if (laid) throw new Error(`The layout has no number at ${laid}.`);
  }
  return 'planned';
}

/** Brings a document to a limit that a refusal names, or gives a ring as many woods as it has places. */
function mended(document: unknown, { path, limits, code }: Reason): boolean {
  const keys = path.split('.').filter(Boolean);
  const last = keys.pop();
  if (last === undefined) return false;
  const holder = keys.reduce(
    (at, key) => (typeof at === 'object' && at !== null ? (at as Record<string, unknown>)[key] : undefined),
    document,
  ) as Record<string, unknown> | undefined;
  if (typeof holder !== 'object' || holder === null) return false;
  if (code === 'wood-count' || code === 'woods-count') {
    const woods = holder.woods as string[];
    const blank = keys[0] === 'blanks';
    const places = Math.min(
      30_000,
      blank
        ? blankPlaces(holder.making as Parameters<typeof blankPlaces>[0])
        : placesOf(holder.making as RingMaking),
    );
    if (woods.length === places) return false;
    holder.woods = Array.from({ length: places }, (_, i) => woods[i % woods.length]);
    return true;
  }
  const limit = limits?.least ?? limits?.most;
  if (typeof limit !== 'number' || holder[last] === limit) return false;
  holder[last] = limit;
  return true;
}

/** Where in plain data a number is NaN or endless; null where none is. */
export function strangeNumber(data: unknown, path = '', depth = 0): string | null {
  if (typeof data === 'number') return Number.isFinite(data) ? null : path;
  if (typeof data !== 'object' || data === null || depth > 30) return null;
  for (const [key, value] of Object.entries(data)) {
    const found = strangeNumber(value, `${path}.${key}`, depth + 1);
    if (found) return found;
  }
  return null;
}

/** Files that can be read, to be mangled: name and text. */
const FILES: readonly (readonly [name: string, text: string])[] = [
  ...PROFILE_FORMATS.map(
    (format) => [`a.${format}`, writeProfile(DEMOS[0]!.form.points, format, 'mm')] as const,
  ),
  [
    'b.svg',
    '<svg><path transform="scale(2)" d="M0 0C5 0 9 3 9 8Q5 9 0 8A3 3 0 0 1 0 0z"/><path d="m2 2h3v3h-3z"/></svg>',
  ],
  ['c.csv', 'wood,length mm,width mm,thickness mm,defects\r\nhard maple,2000,150,25,knot 120 30 20 15\r\n'],
  ['d.json', writeProjectFile(DEMOS[1]!, [])],
  [
    'e.json',
    writePatternFile({
      holds: 'motif',
      name: 'x',
      motif: { kind: 'chequer', tones: ['light', 'dark'], values: { repeats: 12, high: 1 } },
    }),
  ],
];
const SPLINTERS = [
  '<path ',
  '"',
  ' d="',
  'M',
  '0\nLWPOLYLINE\n',
  '90\n99999999\n',
  '\r\n',
  ',',
  '[',
  '{"',
  '}',
  '1e309',
  '-',
  'NaN',
  '\u0000',
  '=1',
  '<g>',
];

/** A file with parts of it cut out, repeated, or strewn with splinters. */
export function mangledFile(seed: number): readonly [name: string, text: string] {
  const draw = random(seed);
  const pick = <T>(of: readonly T[]): T => of[Math.floor(draw() * of.length)]!;
  let [name, text] = pick(FILES);
  for (let n = 0; n < 1 + draw() * 4; n++) {
    const [a, b] = [draw(), draw()].sort((x, y) => x - y).map((share) => Math.floor(share * text.length));
    const roll = draw();
    if (roll < 0.3) text = text.slice(0, a) + text.slice(b);
    else if (roll < 0.5)
      text =
        text.slice(0, b) +
        text.slice(a, Math.min(b!, a! + 2000)).repeat(1 + Math.floor(draw() * 60)) +
        text.slice(b);
    else if (roll < 0.9)
      text = text.slice(0, a) + pick(SPLINTERS).repeat(1 + Math.floor(draw() ** 6 * 3000)) + text.slice(a);
    else text = text.replace(/\d+(\.\d+)?/g, (number) => (draw() < 0.05 ? String(pick(NUMBERS)) : number));
  }
  return [name, text.slice(0, 1e6)];
}

/** What became of a mangled file at every reader of its kind. Throws where one does. */
export function probedFile([name, text]: readonly [string, string]): 'refused' | 'read' {
  const answers = name.endsWith('.json')
    ? [readProjectFile(text), readPatternFile(text)]
    : [readProfile(text, name, 'mm'), readOutline(name, text), readBoardsCsv(text, SHIPPED_WOODS)];
  for (const answer of answers) {
    const strange = answer.ok ? strangeNumber(answer.value) : null;
    if (strange) throw new Error(`What was read has no number at ${strange}.`);
  }
  return answers.some(({ ok }) => ok) ? 'read' : 'refused';
}
