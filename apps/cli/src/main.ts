import { fellside } from './fellside.js';

process.exitCode = await fellside(process.argv.slice(2), {
  say: (text) => process.stdout.write(text),
  complain: (text) => process.stderr.write(text),
});
