/** A column: what it is called in the table and in the list to choose from, how wide it is (px), which ledger shows it. */
export interface ColumnLook {
  readonly says: string;
  readonly width: number;
  readonly usual: 'always' | 'both' | 'long' | 'never';
}

export const LOOKS: Readonly<Record<string, ColumnLook>> = {
  way: { says: 'Made as', width: 128, usual: 'never' },
  count: { says: 'Segments', width: 48, usual: 'both' },
  height: { says: 'Height', width: 68, usual: 'both' },
  lock: { says: 'Lock of the height', width: 30, usual: 'long' },
  cut: { says: 'Cut angle / blade tilt', width: 62, usual: 'long' },
  edge: { says: 'Long edge', width: 82, usual: 'both' },
  short: { says: 'Short edge', width: 72, usual: 'never' },
  strip: { says: 'Strip width', width: 72, usual: 'both' },
  turn: { says: 'Turn, in segments and degrees', width: 82, usual: 'long' },
  step: { says: 'Step of its joints beside those below', width: 76, usual: 'never' },
  glued: { says: 'Glued at each end of a segment, where there are gaps', width: 76, usual: 'never' },
  needs: { says: 'Needed: outer and inner diameter', width: 152, usual: 'never' },
  gives: { says: 'Given: outer and inner diameter', width: 152, usual: 'never' },
  overlap: { says: 'Overlap with the ring below', width: 78, usual: 'never' },
  outer: { says: 'Fixed outer diameter', width: 74, usual: 'never' },
  inner: { says: 'Fixed inner diameter', width: 74, usual: 'never' },
  made: { says: 'Measured thickness', width: 70, usual: 'never' },
  across: { says: 'Measured diameter', width: 74, usual: 'never' },
};

/** Which columns a ledger shows: the usual ones, but for what the user has put in or left out. */
export function visibility(
  short: boolean,
  chosen: Readonly<Record<string, boolean>>,
): Record<string, boolean> {
  const shown = ({ usual }: ColumnLook) => usual === 'both' || (!short && usual === 'long');
  return Object.fromEntries(
    Object.entries(LOOKS).map(([id, look]) => [id, short ? shown(look) : (chosen[id] ?? shown(look))]),
  );
}

/** Width of the column with the rings' numbers (px). */
export const NUMBERS = 40;
/** A little more than the columns need (px). */
const EDGES = 6;

/** How wide a ledger is with the columns it shows (px). */
export const ledgerWidth = (short: boolean, chosen: Readonly<Record<string, boolean>>): number =>
  Object.entries(visibility(short, chosen)).reduce(
    (sum, [id, shown]) => sum + (shown ? LOOKS[id]!.width : 0),
    NUMBERS + EDGES,
  );
