import { readFileSync, statSync, writeFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import {
  ageingChecks,
  type Board,
  cutListCsv,
  DEFAULT_SHOP,
  done,
  judged,
  MOST_FILE_BYTES,
  type Plan,
  type Project,
  plan,
  planFile,
  prepare,
  type Reason,
  type Result,
  readBoardsCsv,
  readProjectFile,
  refuse,
  refused,
  rippingOf,
  SHIPPED_WOODS,
  type Shop,
  type Species,
  sayAll,
  sentenceIn,
  shopSchema,
  shopUpToDate,
} from '@fellside/core';
import { loadSolver, shopSheets } from '@fellside/sheets';
import { type Ask, askAtTerminal, type HouseGiven, house, isHouse } from './house.js';

const USAGE = `Usage:
  fellside plan FILE.json [--shop SHOP.json]    everything computed from a project, as JSON
  fellside check FILE.json [--shop SHOP.json]   what is worth a look or to note, a line each
  fellside cuts FILE.json [--shop SHOP.json]    the cut list, as CSV
  fellside sheets FILE.json --out OUT.pdf [--shop SHOP.json] [--boards BOARDS.csv]
                  [--paper a4|letter] [--quick]  the shop sheets, as PDF; --quick: boards not solved

  fellside backup OUT.zip [--data FOLDER]       everything that is kept, in one file; also while Fellside runs
  fellside restore FILE.zip [--data FOLDER] [--yes]   puts a backup back; what it replaces is kept as one
  fellside rescue OUT.zip [--data FOLDER]       what can still be read of a damaged database, as a backup
  fellside inspect [--data FOLDER]              looks the whole database through
  fellside passphrase [--data FOLDER]           sets what other machines are asked for

Exit status: 0 done, 2 bad input (the reasons go to standard error as JSON).
`;

/** Where the words go. */
export interface Mouth {
  say(text: string): void;
  complain(text: string): void;
}

const BAD_INPUT = 2;

/** What is given behind the command and the file. */
interface Given extends HouseGiven {
  readonly shop?: string;
  readonly boards?: string;
  readonly out?: string;
  readonly paper?: string;
  readonly quick?: boolean;
  readonly help?: boolean;
}

/** The program: takes its arguments, gives the exit status. Docs: docs/terminal.md. */
export async function fellside(
  args: readonly string[],
  mouth: Mouth,
  ask: Ask = askAtTerminal,
): Promise<number> {
  let parsed: { values: Given; positionals: string[] };
  try {
    const options = {
      shop: { type: 'string' },
      boards: { type: 'string' },
      out: { type: 'string' },
      paper: { type: 'string' },
      quick: { type: 'boolean' },
      data: { type: 'string' },
      yes: { type: 'boolean' },
      help: { type: 'boolean', short: 'h' },
    } as const;
    parsed = parseArgs({ args: [...args], options, allowPositionals: true });
  } catch (error) {
    mouth.complain(`${(error as Error).message}\n${USAGE}`);
    return BAD_INPUT;
  }
  const [command, file, ...rest] = parsed.positionals;
  if (parsed.values.help) {
    mouth.say(USAGE);
    return 0;
  }
  if (isHouse(command) && rest.length === 0)
    return told(await house(command, file, parsed.values, ask), mouth);
  if (!file || rest.length > 0 || !['plan', 'check', 'cuts', 'sheets'].includes(command ?? '')) {
    mouth.complain(USAGE);
    return BAD_INPUT;
  }
  const shop = shopGiven(parsed.values);
  return told(
    await answered(command!, file, parsed.values, shop),
    mouth,
    shop.ok ? shop.value.units : undefined,
  );
}

/** Says what came of it; reasons in the units of the shop. */
function told(answer: Result<string>, mouth: Mouth, units = DEFAULT_SHOP.units): number {
  if (answer.ok) mouth.say(answer.value);
  else {
    const reasons = answer.reasons.map((reason) => ({
      ...reason,
      message: sentenceIn(reason.message, units),
    }));
    mouth.complain(`${JSON.stringify({ reasons }, null, 2)}\n`);
  }
  return answer.ok ? 0 : BAD_INPUT;
}

async function answered(
  command: string,
  file: string,
  given: Given,
  kept: Result<Shop>,
): Promise<Result<string>> {
  const text = contents(file);
  if (!text.ok) return text;
  const read = readProjectFile(text.value);
  if (!read.ok) return read;
  if (!kept.ok) return kept;
  const shop = kept.value;
  const woods = [...SHIPPED_WOODS, ...read.value.woods];
  if (command === 'sheets') return sheets(read.value.project, shop, woods, given);
  const planned = plan(read.value.project, shop, woods);
  if (!planned.ok) return planned;
  if (command === 'cuts') return { ok: true, value: `${cutListCsv(planned.value, woods, shop)}\r\n` };
  if (command === 'check')
    return {
      ok: true,
      value: [...planned.value.checks, ...ageing(read.value.project, planned.value, woods, shop)]
        .map(({ message, note }) => `${note ? 'To note: ' : ''}${sentenceIn(message, shop.units)}\n`)
        .join(''),
    };
  return { ok: true, value: planFile(planned.value) };
}

/** What years and air do to it, to note. */
function ageing(project: Project, planned: Plan, woods: readonly Species[], shop: Shop) {
  const prepared = prepare(project, rippingOf(shop));
  return prepared.ok ? ageingChecks(project, prepared.value, planned, woods, shop) : [];
}

/** The shop sheets into a file; boards on hand from a CSV, where one is given. */
async function sheets(
  project: Project,
  shop: Shop,
  woods: readonly Species[],
  { out, boards: boardsFile, paper = 'a4', quick = false }: Given,
): Promise<Result<string>> {
  if (!out) return refuse('terminal:out', 'out', 'Say with --out where the PDF is to be written.');
  if (paper !== 'a4' && paper !== 'letter')
    return refuse('terminal:paper', 'paper', `Paper is “${paper}”; it has to be a4 or letter.`);
  const boards = boardsFile === undefined ? done([]) : readBoards(boardsFile, woods);
  if (!boards.ok) return boards;
  const ask = { project, shop, woods, boards: boards.value, paper, templates: true, solved: !quick } as const;
  const pdf = await shopSheets(ask, loadSolver);
  if (!pdf.ok) return pdf;
  try {
    writeFileSync(out, pdf.value);
  } catch (error) {
    return refuse('terminal:unwritable', 'out', `${out} cannot be written: ${(error as Error).message}.`);
  }
  return done(`${out}: ${pdf.value.length} bytes\n`);
}

function readBoards(file: string, woods: readonly Species[]): Result<Board[]> {
  const text = contents(file);
  if (!text.ok) return text;
  const read = readBoardsCsv(text.value, woods);
  if (!read.ok) return read;
  const { boards, lines, wrong } = read.value;
  if (wrong.length > 0)
    return refused(
      ...wrong.map(
        ({ line, message }): Reason => ({
          code: 'terminal:board',
          path: `line ${line}`,
          message: sayAll([`Line ${line}: `, message]),
        }),
      ),
    );
  return done(boards.map((board, i) => ({ ...board, id: `line ${lines[i]!}` })));
}

const shopGiven = ({ shop }: Given): Result<Shop> =>
  shop === undefined ? done(DEFAULT_SHOP) : readShop(shop);

function readShop(file: string): Result<Shop> {
  const text = contents(file);
  if (!text.ok) return text;
  try {
    return judged(shopSchema, shopUpToDate(JSON.parse(text.value)));
  } catch {
    return refuse('not-json', '', `${file} is not JSON.`);
  }
}

function contents(file: string): Result<string> {
  const problem = (message: string): { ok: false; reasons: Reason[] } => ({
    ok: false,
    reasons: [{ code: 'terminal:unreadable', path: '', message }],
  });
  try {
    const { size } = statSync(file);
    if (size > MOST_FILE_BYTES) return problem(`${file} has ${size} bytes; ${MOST_FILE_BYTES} are allowed.`);
    return { ok: true, value: readFileSync(file, 'utf8') };
  } catch (error) {
    return problem(`${file} cannot be read: ${(error as Error).message}.`);
  }
}
