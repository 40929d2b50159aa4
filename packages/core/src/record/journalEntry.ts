import { z } from 'zod';
import { text } from '../measure/field.js';
import { WORK_KIND_IDS } from './workKind.js';

/** Entries of one piece at the most. */
export const MOST_ENTRIES = 5000;
const MOST_LETTERS = 4000;
/** Longer than a day nobody works at a stretch, minutes. */
const MOST_MINUTES = 24 * 60;

const written = (label: string, least = 1) =>
  z
    .string({ error: `${label} is a text.` })
    .trim()
    .min(least, { error: `${label}: nothing is written there.` })
    .max(MOST_LETTERS, { error: `${label} is at most ${MOST_LETTERS} letters long.` });

const base = {
  /** Given by who wrote it, a UUID: sent twice it is the same. */
  id: z.uuid({ error: 'An entry needs an id of its own, a UUID.' }),
  at: z.iso.datetime({ error: 'When it was has to be a date and time in UTC.' }),
  device: text('Device', 80, 0),
};
const finite = z.number().finite();

/** What is written into the journal by hand. */
const byHand = [
  z.strictObject({ ...base, kind: z.literal('note'), text: written('Note') }),
  /** What went wrong, and how it was mended. */
  z.strictObject({
    ...base,
    kind: z.literal('trouble'),
    text: written('What went wrong'),
    mended: written('How it was mended', 0),
  }),
  z.strictObject({
    ...base,
    kind: z.literal('hours'),
    work: z.enum(WORK_KIND_IDS, { error: `Work is one of ${WORK_KIND_IDS.join(', ')}.` }),
    minutes: z
      .number({ error: 'How long has to be a number of minutes.' })
      .min(1, { error: 'Less than a minute is no time.' })
      .max(MOST_MINUTES, { error: 'One stretch of work is at most 24 hours; enter several.' }),
  }),
  /** A photograph that is kept on the server; `cover` is the one that stands on the passport. */
  z.strictObject({
    ...base,
    kind: z.literal('photo'),
    photo: z.uuid({ error: 'A photograph is named by its id.' }),
    text: written('What is on the photograph', 0),
    cover: z.boolean(),
    /** How it is turned to be looked at, degrees clockwise. */
    turn: z.literal([0, 90, 180, 270], { error: 'A photograph is turned by quarters.' }),
  }),
  /** Boards that were sawn for it. */
  z.strictObject({
    ...base,
    kind: z.literal('boards'),
    boards: z
      .array(
        z.strictObject({
          wood: text('Wood', 60),
          lengthMm: finite,
          widthMm: finite,
          thicknessMm: finite,
          note: text('Note of the board', 200, 0),
        }),
      )
      .min(1, { error: 'No board is named.' })
      .max(500, { error: 'At most 500 boards are written down at once.' }),
  }),
] as const;

const ring = z.int().min(0).max(2000);

/** What the journal writes by itself, when the piece was changed as work goes on. Rings by index. */
const byItself = [
  /** `mm` null: the measurement was taken back. */
  z.strictObject({
    ...base,
    kind: z.literal('measured'),
    ring,
    what: z.enum(['heightMm', 'diameterMm']),
    mm: finite.nullable(),
    /** What was planned, where the document says. */
    plannedMm: finite.nullable(),
  }),
  z.strictObject({
    ...base,
    kind: z.literal('sawn-off'),
    gone: z.enum(['below', 'above']),
    atMm: finite,
    rings: ring,
  }),
  /** What was sawn off stands again: the edit was undone. */
  z.strictObject({ ...base, kind: z.literal('put-back') }),
  z.strictObject({ ...base, kind: z.literal('glued-on'), end: z.enum(['foot', 'rim']), heightMm: finite }),
  /** A ring that was cut is planned anew. */
  z.strictObject({ ...base, kind: z.literal('ring-anew'), ring }),
  z.strictObject({ ...base, kind: z.literal('patched'), heightMm: finite, copies: z.int() }),
] as const;

export const journalEntrySchema = z.discriminatedUnion('kind', [...byHand, ...byItself]);
export type JournalEntry = z.infer<typeof journalEntrySchema>;

/** Entries that a person may write. */
export const handEntrySchema = z.discriminatedUnion('kind', [...byHand], {
  error: 'An entry is a note, trouble, hours, a photo or boards.',
});
export type HandEntry = z.infer<typeof handEntrySchema>;

/** The same without what the one who keeps it adds. */
type Bare<T> = T extends unknown ? Omit<T, 'id' | 'at' | 'device'> : never;
export type Happened = Bare<Exclude<JournalEntry, HandEntry>>;
export type Written = Bare<HandEntry>;
