import { z } from 'zod';
import { number } from '../measure/field.js';
import type { Spot, Wall } from './reach.js';
import { middleOf } from './showing.js';
import { TONES, type ToneName } from './tones.js';

const tone = z.string().regex(new RegExp(`^(${TONES.join('|')})(-[2-9])?$`)) as unknown as z.ZodType<
  ToneName,
  ToneName
>;

/** A piece of pattern cut out of a wall: rings from the bottom up, each with stretches by their share of its width. */
export const blockSchema = z.strictObject({
  /** How much of the way round it takes, in turns. */
  widthTurns: number('Width of the block', 0.0001, 1),
  rows: z
    .array(
      z
        .array(z.strictObject({ from: number('From', 0, 1), to: number('To', 0, 1), tone }))
        .max(2000, { abort: true }),
    )
    .min(1)
    .max(400),
});

export interface Block {
  readonly widthTurns: number;
  readonly rows: readonly (readonly {
    readonly from: number;
    readonly to: number;
    readonly tone: ToneName;
  }[])[];
}

/** A stretch of the wall to cut out: rings from `low` to `high`, from a direction on, counter-clockwise, in turns. */
export interface Window {
  readonly low: number;
  readonly high: number;
  readonly from: number;
  readonly widthTurns: number;
}

const unit = (turns: number): number => ((turns % 1) + 1) % 1;

/** What shows in a window of the wall; null where that is nothing. */
export function cutOut(wall: Wall, window: Window, toneAt: (spot: Spot) => ToneName): Block | null {
  const { low, high, from, widthTurns } = window;
  const rows = wall.slice(low, high + 1).map((shown, i) =>
    (shown?.stretches ?? []).flatMap((stretch) => {
      const start = unit(middleOf(stretch) - from + 1e-7);
      if (start >= widthTurns) return [];
      const half = (stretch.to - stretch.from) / 2;
      return [
        {
          from: Math.max(0, (start - half) / widthTurns),
          to: Math.min(1, (start + half) / widthTurns),
          tone: toneAt({ ring: low + i, place: stretch.place }),
        },
      ];
    }),
  );
  return rows.every((row) => row.length === 0) ? null : { widthTurns, rows };
}

/** A hair, as a share of a block's width. */
const HAIR = 1e-6;

/** The tone of a block at a share of its width in one of its rows; null where the row has nothing there. */
function toneIn(row: Block['rows'][number], share: number): ToneName | null {
  const cell = row.find(({ from, to }) => share >= from - HAIR && share < to + HAIR);
  return cell?.tone ?? null;
}

/** Where a block comes to lie: its lowest row on a ring, its left side in a direction (turns), so many times round. */
export interface Laying {
  readonly ring: number;
  readonly from: number;
  readonly times: number;
}

/** Which tone each segment gets where a block is laid: every segment whose middle lies in it and where it has one. */
export function layBlock(
  wall: Wall,
  block: Block,
  { ring, from, times }: Laying,
): (Spot & { tone: ToneName })[] {
  return block.rows.flatMap((row, i) => {
    const shown = wall[ring + i];
    if (!shown) return [];
    return shown.stretches.flatMap((stretch) => {
      if (stretch.place >= shown.segments) return [];
      const along = unit(middleOf(stretch) - from + 1e-7) % (1 / times);
      if (along >= block.widthTurns) return [];
      const tone = toneIn(row, along / block.widthTurns);
      return tone ? [{ ring: ring + i, place: stretch.place, tone }] : [];
    });
  });
}

/** Seen in a mirror that stands upright beside it. */
export const mirroredBlock = ({ widthTurns, rows }: Block): Block => ({
  widthTurns,
  rows: rows.map((row) => row.map(({ from, to, tone }) => ({ from: 1 - to, to: 1 - from, tone })).reverse()),
});
