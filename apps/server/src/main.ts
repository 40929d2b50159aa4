import { isLoopback, ownAddresses } from './door/hosts.js';
import { createServer } from './server.js';
import { type Settings, settingsFrom } from './settings.js';

/** What kept the server from starting, in one sentence. */
function sentence(error: unknown, settings: Settings | null): string {
  const { code, message } = error as { code?: string; message?: string };
  if (code === 'EADDRINUSE')
    return `Port ${settings?.port} is taken. Stop what uses it, or set FELLSIDE_PORT to another.`;
  if (code === 'EACCES' && settings)
    return `Fellside may not use port ${settings.port} or write to ${settings.dataFolder}.`;
  if (code === 'EADDRNOTAVAIL')
    return `FELLSIDE_HOST is ${settings?.host}; this machine has no such address.`;
  if (code === 'ENOSPC')
    return `The disk of ${settings?.dataFolder} is full. Make room on it and start again.`;
  return error instanceof Error && error.constructor.name === 'Refusal'
    ? error.message
    : `Fellside could not start: ${message ?? error}`;
}

/** Where others reach it, a line each. */
function reachable({ host, port, hosts }: Settings): string {
  if (isLoopback(host)) return '';
  const names = hosts.map((name) => `  http://${name}:${port}/`);
  return `From other machines:\n${names.join('\n')}\nThis machine’s addresses: ${ownAddresses().join(', ') || 'none'}\n`;
}

let settings: Settings | null = null;
try {
  settings = settingsFrom(process.env);
  const app = await createServer(settings);
  for (const signal of ['SIGTERM', 'SIGINT'] as const)
    process.once(signal, () => app.close().then(() => process.exit(0)));
  try {
    await app.listen(settings.port, settings.host);
  } catch (error) {
    await app.close();
    throw error;
  }
  app.useLogger(['error', 'warn']);
  console.log(`Fellside is ready: ${await app.getUrl()}\n${reachable(settings)}`.trimEnd());
} catch (error) {
  console.error(sentence(error, settings));
  process.exit(1);
}
