import { readFileSync, statSync } from 'node:fs';
import { parseArgs } from 'node:util';
import {
  cutListCsv,
  DEFAULT_SHOP,
  MOST_BYTES,
  plan,
  planFile,
  type Reason,
  type Result,
  readProjectFile,
  reasonsOf,
  refuse,
  refused,
  SHIPPED_WOODS,
  shopSchema,
} from '@fellside/core';

const USAGE = `Usage:
  fellside plan FILE.json [--shop SHOP.json]    everything computed from a project, as JSON
  fellside check FILE.json [--shop SHOP.json]   what is worth a look, a line each
  fellside cuts FILE.json [--shop SHOP.json]    the cut list, as CSV

Exit status: 0 done, 2 bad input (the reasons go to standard error as JSON).
`;

/** Where the words go. */
export interface Mouth {
  say(text: string): void;
  complain(text: string): void;
}

const BAD_INPUT = 2;

/** The program: takes its arguments, gives the exit status. Docs: docs/terminal.md. */
export function fellside(args: readonly string[], mouth: Mouth): number {
  let parsed: { values: { shop?: string; help?: boolean }; positionals: string[] };
  try {
    const options = { shop: { type: 'string' }, help: { type: 'boolean', short: 'h' } } as const;
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
  if (!file || rest.length > 0 || !['plan', 'check', 'cuts'].includes(command ?? '')) {
    mouth.complain(USAGE);
    return BAD_INPUT;
  }
  const answer = answered(command!, file, parsed.values.shop);
  if (answer.ok) mouth.say(answer.value);
  else mouth.complain(`${JSON.stringify({ reasons: answer.reasons }, null, 2)}\n`);
  return answer.ok ? 0 : BAD_INPUT;
}

function answered(command: string, file: string, shopFile: string | undefined): Result<string> {
  const text = contents(file);
  if (!text.ok) return text;
  const read = readProjectFile(text.value);
  if (!read.ok) return read;
  const shop = shopFile === undefined ? DEFAULT_SHOP : readShop(shopFile);
  if ('ok' in shop) return shop;
  const woods = [...SHIPPED_WOODS, ...read.value.woods];
  const planned = plan(read.value.project, shop, woods);
  if (!planned.ok) return planned;
  if (command === 'cuts') return { ok: true, value: `${cutListCsv(planned.value, woods, shop.units)}\r\n` };
  if (command === 'check')
    return { ok: true, value: planned.value.checks.map(({ message }) => `${message}\n`).join('') };
  return { ok: true, value: planFile(planned.value) };
}

function readShop(file: string) {
  const text = contents(file);
  if (!text.ok) return text;
  try {
    const parsed = shopSchema.safeParse(JSON.parse(text.value));
    return parsed.success ? parsed.data : refused(...reasonsOf(parsed.error));
  } catch {
    return refuse('not-json', '', `${file} is not JSON.`);
  }
}

function contents(file: string): Result<string> {
  const problem = (message: string): { ok: false; reasons: Reason[] } => ({
    ok: false,
    reasons: [{ code: 'unreadable', path: '', message }],
  });
  try {
    const { size } = statSync(file);
    if (size > MOST_BYTES) return problem(`${file} has ${size} bytes; ${MOST_BYTES} are allowed.`);
    return { ok: true, value: readFileSync(file, 'utf8') };
  } catch (error) {
    return problem(`${file} cannot be read: ${(error as Error).message}.`);
  }
}
