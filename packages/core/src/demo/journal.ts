import type { JournalEntry, Written } from '../record/journalEntry.js';

const written: readonly (readonly [at: string, entry: Written])[] = [
  ['2026-10-03T08:10:00Z', { kind: 'hours', work: 'planning', minutes: 95 }],
  [
    '2026-10-03T09:50:00Z',
    {
      kind: 'boards',
      boards: [
        {
          wood: 'sugar-maple',
          lengthMm: 1320,
          widthMm: 150,
          thicknessMm: 20.6,
          note: 'rack, second from the left',
        },
        {
          wood: 'black-walnut',
          lengthMm: 980,
          widthMm: 165,
          thicknessMm: 20.6,
          note: 'offcut of the porch door',
        },
      ],
    },
  ],
  ['2026-10-03T13:30:00Z', { kind: 'hours', work: 'boards', minutes: 110 }],
  ['2026-10-04T09:00:00Z', { kind: 'hours', work: 'segments', minutes: 205 }],
  [
    '2026-10-04T11:20:00Z',
    {
      kind: 'trouble',
      text: 'The stop had moved: six segments of the fourth ring came out a shade long.',
      mended: 'Cut them down against a stop block screwed to the sled, and two anew.',
    },
  ],
  ['2026-10-10T15:00:00Z', { kind: 'hours', work: 'gluing', minutes: 150 }],
  ['2026-10-11T10:00:00Z', { kind: 'hours', work: 'flattening', minutes: 75 }],
  ['2026-10-17T09:30:00Z', { kind: 'hours', work: 'turning', minutes: 260 }],
  [
    '2026-10-17T16:10:00Z',
    { kind: 'note', text: 'Light cuts from the rim inwards tore least. Shear scraper for the feature ring.' },
  ],
  ['2026-10-18T10:00:00Z', { kind: 'hours', work: 'sanding', minutes: 120 }],
  ['2026-10-24T17:00:00Z', { kind: 'hours', work: 'finishing', minutes: 80 }],
];

/** The journal of a bowl of the show, from drawing to finish. */
export const demoJournal = (): { readonly piece: string; readonly entries: readonly JournalEntry[] } => ({
  piece: 'Dewpond Bowl',
  entries: written.map(([at, entry], i) => ({
    id: `00000000-0000-4000-8000-0000000de${String(i).padStart(3, '0')}`,
    at,
    device: 'workshop tablet',
    ...entry,
  })),
});
