import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DEFAULT_SHOP, NO_HISTORY, type Project } from '@fellside/core';
import { demoProjects } from '@fellside/core/demo';
import { Database } from '@fellside/database';
import type { NestExpressApplication } from '@nestjs/platform-express';
import request from 'supertest';
import { afterAll, beforeAll } from 'vitest';
import { createServer } from '../server.js';
import { settingsFrom } from '../settings.js';

/** A server of a test file's own on an empty folder, taken down when its tests are done. */
export function ownHouse() {
  const folder = mkdtempSync(join(tmpdir(), 'fellside-server-'));
  const usual = { ...settingsFrom({}), webFolder: folder };
  let app: NestExpressApplication;
  beforeAll(async () => {
    app = await createServer({ ...usual, dataFolder: join(folder, 'own') });
    await app.init();
  });
  afterAll(async () => {
    await app.close();
    rmSync(folder, { recursive: true, force: true });
  });
  const http = () => request(app.getHttpServer());
  const database = () => app.get(Database);
  return {
    folder,
    usual,
    app: () => app,
    http,
    database,
    query: (sql: string, values: unknown[] = []) => database().write((manager) => manager.query(sql, values)),
    stored: async (name?: string): Promise<{ id: string; revision: number }> =>
      (
        await http()
          .post('/api/projects')
          .send({ document: cup(name) })
          .expect(201)
      ).body,
    put: (id: string, revision: number, document: unknown) =>
      http().put(`/api/projects/${id}`).send({ revision, document, history: NO_HISTORY }),
  };
}

export const cup = (name = 'Cup'): Project => ({ ...structuredClone(demoProjects()[0]!), name });

export const PNG = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 7, 7]);
export const BOARD = {
  wood: 'sugar-maple',
  lengthMm: 1000,
  widthMm: 150,
  thicknessMm: 25.4,
  surfaced: false,
  price: null,
  moisturePercent: null,
  note: '',
  defects: [],
};
export const RING = {
  name: 'Spare ring',
  outerRadiusMm: 60,
  innerRadiusMm: 40,
  heightMm: 18,
  species: Array.from({ length: 12 }, () => 'sugar-maple'),
  of: { way: 'segmented', count: 12 },
};
export const PATTERN = {
  holds: 'motif',
  name: 'Squares',
  motif: { kind: 'chequer', tones: ['light', 'dark'], values: { repeats: 12, high: 1 } },
};
export const SHOP = { ...DEFAULT_SHOP, kerfMm: 2.5 };
