import { createServer } from './server.js';
import { type Settings, settingsFrom } from './settings.js';

/** What kept the server from starting, in one sentence. */
function sentence(error: unknown, settings: Settings | null): string {
  const { code, message } = error as { code?: string; message?: string };
  if (code === 'EADDRINUSE')
    return `Port ${settings?.port} is taken. Stop what uses it, or set FELLSIDE_PORT to another.`;
  if (code === 'EACCES' && settings)
    return `Fellside may not use port ${settings.port} or write to ${settings.dataFolder}.`;
  if (code?.startsWith('SQLITE_BUSY') || message?.includes('database is locked'))
    return `Another Fellside is running on the data folder ${settings?.dataFolder}. Use that one, or set FELLSIDE_DATA to another folder.`;
  return `Fellside could not start: ${message ?? error}`;
}

let settings: Settings | null = null;
try {
  settings = settingsFrom(process.env);
  const app = await createServer(settings);
  await app.listen(settings.port, settings.host);
  for (const signal of ['SIGTERM', 'SIGINT'] as const)
    process.once(signal, () => app.close().then(() => process.exit(0)));
  app.useLogger(['error', 'warn']);
  console.log(`Fellside is ready: ${await app.getUrl()}`);
} catch (error) {
  console.error(sentence(error, settings));
  process.exit(1);
}
