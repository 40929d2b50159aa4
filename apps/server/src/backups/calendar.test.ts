import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type Database, filesOf } from '@fellside/database';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { settingsFrom } from '../settings.js';
import { BackupsService } from './backups.service.js';

let folder: string;
let service: BackupsService;

beforeEach(() => {
  vi.useFakeTimers();
  folder = mkdtempSync(join(tmpdir(), 'fellside-calendar-'));
  const settings = { ...settingsFrom({}), dataFolder: folder };
  service = new BackupsService({ file: join(folder, 'none.sqlite') } as Database, settings);
  service.onModuleInit();
});

afterEach(async () => {
  await service.onModuleDestroy();
  vi.useRealTimers();
  rmSync(folder, { recursive: true, force: true });
});

test('a server that is stopped just after its start looks for no backup any more', async () => {
  expect(vi.getTimerCount()).toBe(2);
  await service.onModuleDestroy();
  expect(vi.getTimerCount()).toBe(0);
});

// A rejection that nobody handles ends the server, and turns this file red.
test('settings that cannot be read when a backup is due, as on a disk that was taken out, are told and end nothing', async () => {
  const { machine } = filesOf(folder);
  writeFileSync(machine, 'torn');
  await vi.advanceTimersByTimeAsync(3000);
  rmSync(machine);
  expect(service.state().last).toMatchObject({
    path: null,
    failed: expect.stringMatching(/settings in .* cannot be read/),
  });
});

test('a backup that is due and cannot be made is told, in the words of what failed', async () => {
  vi.useRealTimers();
  await expect(service.make()).rejects.toThrow(/^The backup could not be made: .*database/);
  const { failed } = service.state().last!;
  expect(failed).toMatch(/database/);
  expect(failed).not.toMatch(/^The backup could not be made/);
});
