import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';

interface Cell {
  readonly fromX: number;
  readonly y: number;
  text: string;
}

/** A table of a document as a stranger reads it: heads, and rows of cells below them, those of its pages one after the other. */
export interface ReadTable {
  readonly heads: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

/**
 * The tables of a PDF, read back by pdf.js, for tests: a cell is what is written in the clip that follows its lower border, a row
 * are cells whose borders lie on one line; a row in the colour of the heads begins a table, or goes on with the one before.
 */
export async function readTables(bytes: Uint8Array, headColour: string): Promise<ReadTable[]> {
  const pdf = await getDocument({ data: new Uint8Array(bytes), useSystemFonts: false, verbosity: 0 }).promise;
  const tables: { heads: string[]; rows: string[][] }[] = [];
  for (let number = 1; number <= pdf.numPages; number++) {
    for (const { head, cells } of rowsOf(await cellsOf(await pdf.getPage(number), headColour))) {
      const last = tables.at(-1);
      if (!head) last?.rows.push(cells);
      else if (last?.heads.join('|') !== cells.join('|')) tables.push({ heads: cells, rows: [] });
    }
  }
  return tables;
}

type Page = Awaited<ReturnType<Awaited<ReturnType<typeof getDocument>['promise']>['getPage']>>;
type ReadCell = Cell & { head: boolean };

async function cellsOf(page: Page, headColour: string): Promise<ReadCell[]> {
  const { fnArray, argsArray } = await page.getOperatorList();
  const cells: ReadCell[] = [];
  let depth = 0;
  let inside = Number.POSITIVE_INFINITY;
  let clipped = false;
  fnArray.forEach((op, i) => {
    if (op === OPS.save) depth++;
    else if (op === OPS.restore) {
      depth--;
      if (depth < inside) inside = Number.POSITIVE_INFINITY;
    } else if (op === OPS.clip || op === OPS.eoClip) clipped = true;
    else if (op === OPS.constructPath) {
      const numbers = [...((argsArray[i] as [number, [Float32Array | null]])[1][0] ?? [])];
      if (clipped) inside = depth;
      else if (numbers.length === 6 && Math.abs(numbers[2]! - numbers[5]!) < 0.01)
        cells.push({ fromX: Math.min(numbers[1]!, numbers[4]!), y: numbers[2]!, text: '', head: false });
      clipped = false;
    } else if (op === OPS.setFillRGBColor && depth >= inside && cells.length > 0)
      cells.at(-1)!.head = (argsArray[i] as string[])[0] === headColour;
    else if (op === OPS.showText && depth >= inside && cells.length > 0) {
      const cell = cells.at(-1)!;
      const glyphs = (argsArray[i] as [(number | { unicode: string })[]])[0];
      const words = glyphs.map((glyph) => (typeof glyph === 'number' ? '' : glyph.unicode)).join('');
      cell.text = `${cell.text} ${words}`.replace(/\s+/g, ' ').trim();
    }
  });
  return cells;
}

function rowsOf(cells: readonly ReadCell[]): { head: boolean; cells: string[] }[] {
  const rows: ReadCell[][] = [];
  for (const cell of cells) {
    const last = rows.at(-1);
    if (last && Math.abs(last[0]!.y - cell.y) < 0.05 && cell.fromX > last.at(-1)!.fromX) last.push(cell);
    else rows.push([cell]);
  }
  // Single lines are rules and marks, not rows.
  return rows
    .filter((row) => row.length > 1)
    .map((row) => ({ head: row.every(({ head }) => head), cells: row.map(({ text }) => text) }));
}
