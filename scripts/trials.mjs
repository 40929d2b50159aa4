// npm run trials: attacks on what is called saved, each bounded and seeded. Writes its figures into docs/trust.md.
//   npm run trials -- --kills 1000 --documents 100000 --seed 1
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { ensureBuild, ensureDependencies, node, ROOT } from './setup.mjs';

const { values: given } = parseArgs({
  options: {
    kills: { type: 'string', default: '100' },
    documents: { type: 'string', default: '5000' },
    asks: { type: 'string', default: '2000' },
    rounds: { type: 'string', default: '16' },
    seed: { type: 'string', default: '1' },
    only: { type: 'string', default: 'kills,disk,writers,hostile,load,documents' },
    out: { type: 'string', default: join(ROOT, 'docs/trust.md') },
  },
});

ensureDependencies();
ensureBuild();
const [{ kills }, { fullDisk }, { writers }, { hostile }, { load }] = await Promise.all(
  ['kills', 'fullDisk', 'writers', 'hostile', 'load'].map((name) => import(`./trials/${name}.mjs`)),
);
const only = new Set(given.only.split(','));
const seed = Number(given.seed);

function documents(count) {
  const out = join(mkdtempSync(join(tmpdir(), 'fellside-trials-')), 'documents.json');
  process.env.TRIALS_DOCUMENTS = String(count);
  process.env.TRIALS_SEED = String(seed);
  process.env.TRIALS_OUT = out;
  node('node_modules/vitest/vitest.mjs', 'run', '--config', 'vitest.trials.config.ts', '--reporter=dot');
  return JSON.parse(readFileSync(out, 'utf8'));
}

const TRIALS = {
  kills: () => kills(Number(given.kills), seed),
  disk: () => fullDisk(Number(given.rounds), seed),
  writers: () => writers(50, 20),
  hostile: () => hostile(Number(given.asks), seed),
  load: async () => ({ 500: await load(500), 5000: await load(5000) }),
  documents: () => documents(Number(given.documents)),
};

/** Figures of one trial, under its mark in the page; what other trials wrote there stays. */
function write(name, figures) {
  const page = readFileSync(given.out, 'utf8');
  const [begin, end] = [`<!-- ${name} -->`, `<!-- /${name} -->`];
  const [before, rest] = page.split(begin);
  const said = `\`${JSON.stringify(figures, (_, v) => (typeof v === 'number' ? Math.round(v * 10) / 10 : v))}\``;
  writeFileSync(given.out, `${before}${begin}\n${said}\n${end}${rest.split(end)[1]}`);
}

for (const [name, trial] of Object.entries(TRIALS)) {
  if (!only.has(name)) continue;
  const from = performance.now();
  const figures = await trial();
  console.log(name, JSON.stringify(figures), `${Math.round((performance.now() - from) / 1000)} s`);
  write(name, figures);
}
