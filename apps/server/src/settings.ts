import { resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

/** Where the server listens, keeps its data and finds the interface. */
export interface Settings {
  readonly host: string;
  readonly port: number;
  readonly dataFolder: string;
  readonly webFolder: string;
  /** Fill an empty database with the demo pieces. */
  readonly demo: boolean;
}

const here = (path: string): string => fileURLToPath(new URL(path, import.meta.url));

/** Settings from the environment; throws a sentence when a value cannot be used. */
export function settingsFrom(env: NodeJS.ProcessEnv): Settings {
  const port = Number(env.FELLSIDE_PORT ?? 4680);
  if (!Number.isInteger(port) || port < 0 || port > 65535)
    throw new Error(`FELLSIDE_PORT is “${env.FELLSIDE_PORT}”; it has to be a port number from 0 to 65535.`);
  return {
    host: env.FELLSIDE_HOST ?? '127.0.0.1',
    port,
    dataFolder: resolve(env.FELLSIDE_DATA ?? 'data/own'),
    webFolder: resolve(env.FELLSIDE_WEB ?? here('../../web/dist')),
    demo: env.FELLSIDE_DEMO === '1',
  };
}
