// npm start, npm run demo: sets up what is missing, then runs the server until it is told to stop.
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { ensureBuild, ensureDependencies, ROOT, SERVER } from './setup.mjs';

const demo = process.argv.includes('--demo');
ensureDependencies();
ensureBuild();
process.env.FELLSIDE_DATA ??= join(ROOT, 'data', demo ? 'demo' : 'own');
if (demo) process.env.FELLSIDE_DEMO = '1';
await import(pathToFileURL(SERVER).href);
