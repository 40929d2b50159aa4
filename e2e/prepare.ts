import { rmSync } from 'node:fs';
import { startFellside } from './server.js';

/** Makes the demo's folder once, with its drawings made: a test that has the demo starts on a copy. */
export default async function prepare(): Promise<() => void> {
  const first = await startFellside(true);
  const answer = await fetch(`${first.url}/api/projects`);
  const { pieces } = (await answer.json()) as { pieces: { id: string; revision: number }[] };
  for (const { id, revision } of pieces) await fetch(`${first.url}/api/projects/${id}/drawings/${revision}`);
  await first.stop();
  process.env.FELLSIDE_PREPARED = first.dataFolder;
  return () => rmSync(first.dataFolder, { recursive: true, force: true });
}
