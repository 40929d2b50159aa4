import { resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { isLoopback } from './door/hosts.js';

/** Under which Nest hands the settings out. */
export const SETTINGS = Symbol('settings');

/** Where the server listens, keeps its data and finds the interface. */
export interface Settings {
  readonly host: string;
  readonly port: number;
  /** Names and addresses that other machines call it by; asked for as soon as it listens beyond this one. */
  readonly hosts: readonly string[];
  readonly dataFolder: string;
  readonly webFolder: string;
  /** Fill an empty database with the demo pieces. */
  readonly demo: boolean;
  /** Open a damaged database all the same. */
  readonly asItIs: boolean;
}

const here = (path: string): string => fileURLToPath(new URL(path, import.meta.url));

/** Settings from the environment; throws a sentence when a value cannot be used. */
export function settingsFrom(env: NodeJS.ProcessEnv): Settings {
  const port = Number(env.FELLSIDE_PORT ?? 4680);
  if (!Number.isInteger(port) || port < 0 || port > 65535)
    throw new Error(`FELLSIDE_PORT is “${env.FELLSIDE_PORT}”; it has to be a port number from 0 to 65535.`);
  const host = env.FELLSIDE_HOST ?? '127.0.0.1';
  const hosts = (env.FELLSIDE_HOSTS ?? '')
    .split(/[\s,]+/)
    .filter(Boolean)
    .map((name) => name.toLowerCase());
  const wrong = hosts.find((name) => !/^[a-z0-9.:[\]-]+$/.test(name));
  if (wrong !== undefined)
    throw new Error(
      `FELLSIDE_HOSTS has “${wrong}”; it has to be names or addresses, with commas between, without http:// or a port.`,
    );
  if (!isLoopback(host) && hosts.length === 0)
    throw new Error(
      `FELLSIDE_HOST is ${host}: other machines can reach that. Say in FELLSIDE_HOSTS by which names or addresses they call this one (FELLSIDE_HOSTS=workshop.local,192.168.1.20).`,
    );
  return {
    host,
    port,
    hosts,
    dataFolder: resolve(env.FELLSIDE_DATA ?? 'data/own'),
    webFolder: resolve(env.FELLSIDE_WEB ?? here('../../web/dist')),
    demo: env.FELLSIDE_DEMO === '1',
    asItIs: env.FELLSIDE_AS_IT_IS === '1',
  };
}
