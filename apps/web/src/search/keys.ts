/** Keys of every screen, and of some: by how its address goes on behind the piece. */
export interface KeysOf {
  readonly where: string;
  /** Which addresses they hold at; null for all. */
  readonly at: RegExp | null;
  readonly keys: readonly (readonly [keys: string, does: string])[];
}

export const KEYS: readonly KeysOf[] = [
  {
    where: 'Everywhere',
    at: null,
    keys: [
      ['Ctrl or ⌘ K', 'Search everything that can be done'],
      ['?', 'These keys'],
      ['Ctrl or ⌘ Z', 'Undo'],
      ['Ctrl or ⌘ Shift Z, or Y', 'Redo'],
      ['Escape', 'In a field: put back what stood there; in a sheet: close it'],
    ],
  },
  {
    where: 'On the bench',
    at: /\/(form|rings|pattern)/,
    keys: [
      ['+ and −', 'Larger and smaller'],
      ['0', 'The whole piece'],
      ['Arrow keys', 'Move a handle that has the focus; with Shift in finer steps'],
      ['Insert, Delete', 'Add a point behind the one that has the focus, take it away'],
      ['Shift and click', 'Select from the ring last clicked to this one'],
      ['Ctrl or ⌘ and click', 'Add a ring to those selected, or take it out'],
    ],
  },
  {
    where: 'Rings',
    at: /\/rings/,
    keys: [
      ['Ctrl or ⌘ C', 'Copy the selected rings'],
      ['Ctrl or ⌘ V', 'Paste them above the selected ring, in this piece or another'],
      ['Ctrl or ⌘ Shift V', 'Paste their look only: motif or woods'],
    ],
  },
  {
    where: 'Pattern',
    at: /\/pattern/,
    keys: [
      ['1 to 9', 'Take a wood of the palette for the brush'],
      ['Ctrl or ⌘ C', 'Copy the marked places'],
      ['Ctrl or ⌘ V', 'Lay them where the mark is'],
    ],
  },
  {
    where: 'Work',
    at: /\/make$/,
    keys: [
      ['Space or +', 'Count one more'],
      ['− or Backspace', 'Count one less'],
      ['← →, Page up and down', 'The card before, the next card'],
    ],
  },
  {
    where: 'Turntable',
    at: /\/(form|rings|pattern|record)/,
    keys: [['← →', 'Turn the piece, while the turntable has the focus']],
  },
];

/** The keys that hold at an address. */
export const keysAt = (path: string): readonly KeysOf[] =>
  KEYS.filter(({ at }) => at === null || at.test(path));
