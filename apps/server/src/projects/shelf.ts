import { type FormKind, SCHEMA_VERSION } from '@fellside/core';
import type { EntityManager } from 'typeorm';

/** Most pieces on one page of the list. */
export const MOST_ON_PAGE = 200;

/** A piece as the shelf needs it. Lengths in mm. */
export interface ShelvedPiece {
  readonly id: string;
  readonly revision: number;
  readonly name: string;
  readonly heightMm: number | null;
  readonly diameterMm: number | null;
  /** Ids of the woods of its palette. */
  readonly woods: readonly string[];
  /** What its form is called; null where that cannot be read. */
  readonly kind: FormKind | null;
  readonly state: ShelfState;
  readonly savedAt: string;
  readonly removedAt: string | null;
  /** Why it cannot be opened, in a sentence; null where it can. */
  readonly unreadable: string | null;
}

/** A page of the shelf, last saved first, and what holds for all of it: how many, the tallest and the widest (mm). */
export interface ShelfPage {
  readonly total: number;
  readonly tallestMm: number;
  readonly widestMm: number;
  readonly pieces: readonly ShelvedPiece[];
}

/** What the shelf is sorted by. */
export const SHELF_ORDERS = ['saved', 'name', 'height', 'width'] as const;
export type ShelfOrder = (typeof SHELF_ORDERS)[number];

const ORDERS: Readonly<Record<ShelfOrder, string>> = {
  saved: '"savedAt" DESC',
  name: '"name" COLLATE NOCASE',
  height: '"heightMm" DESC',
  width: '"diameterMm" DESC',
};

/** How far a piece is: nothing of it done, something ticked off, a day of making on its passport. */
export const SHELF_STATES = ['planned', 'begun', 'made'] as const;
export type ShelfState = (typeof SHELF_STATES)[number];

/** The state of a piece, of its row and of what is ticked off. */
const STATE = `CASE WHEN "made" = 1 THEN 'made' WHEN (SELECT sum("amount") FROM "ticks" WHERE "projectId" = "projects"."id") > 0 THEN 'begun' ELSE 'planned' END`;

export interface ShelfAsk {
  readonly from: number;
  readonly count: number;
  readonly removed: boolean;
  /** Part of a name; empty for all. */
  readonly named: string;
  readonly order: ShelfOrder;
  /** Id of a wood that it has; empty for any. */
  readonly wood: string;
  /** What its form is called; empty for any. */
  readonly kind: FormKind | '';
  readonly state: ShelfState | '';
}

interface Row extends Omit<ShelvedPiece, 'woods' | 'unreadable' | 'name'> {
  readonly name: string | null;
  readonly woods: string | null;
  readonly readable: number;
  readonly schema: number | null;
}

const PIECE = `"id", "revision", "name", "heightMm", "diameterMm", "woods", "kind", ${STATE} AS "state", "savedAt", "removedAt"`;
/** Asked of the page's rows only: whether SQLite can read the JSON, and which version wrote it. */
const HEALTH = `json_valid("document") AS "readable", CASE WHEN json_valid("document") THEN json_extract("document", '$.schema') END AS "schema"`;

/** A page of the pieces on the shelf or of those taken off it, from the columns beside the documents. */
export async function shelfPage(manager: EntityManager, ask: ShelfAsk): Promise<ShelfPage> {
  const where = `"removedAt" IS ${ask.removed ? 'NOT ' : ''}NULL AND coalesce("name", '') LIKE ? ESCAPE '\\' AND (? = '' OR EXISTS (SELECT 1 FROM "uses" WHERE "kind" = 'wood' AND "key" = ? AND "projectId" = "projects"."id")) AND (? = '' OR "kind" = ?) AND (? = '' OR ${STATE} = ?)`;
  const like = `%${ask.named.replace(/[\\%_]/g, '\\$&')}%`;
  const asked = [like, ...[ask.wood, ask.kind, ask.state].flatMap((each) => [each, each])];
  const [all] = await manager.query(
    `SELECT count(*) AS "total", max("heightMm") AS "tallestMm", max("diameterMm") AS "widestMm" FROM "projects" WHERE ${where}`,
    asked,
  );
  const rows: Row[] = await manager.query(
    `SELECT ${PIECE}, ${HEALTH} FROM "projects" WHERE ${where} ORDER BY ${ask.removed ? '"removedAt" DESC' : ORDERS[ask.order]}, "id" LIMIT ? OFFSET ?`,
    [...asked, ask.count, ask.from],
  );
  return {
    total: all.total,
    tallestMm: all.tallestMm ?? 0,
    widestMm: all.widestMm ?? 0,
    pieces: rows.map(({ readable, schema, name, woods, ...row }) => ({
      ...row,
      name: name ?? 'A piece that cannot be read',
      woods: woods === null ? [] : JSON.parse(woods),
      unreadable: whyNot(readable === 1, schema),
    })),
  };
}

function whyNot(readable: boolean, schema: number | null): string | null {
  if (!readable || schema === null) return 'What is stored of it cannot be read.';
  return schema > SCHEMA_VERSION ? 'It was written by a newer Fellside.' : null;
}
