import { z } from 'zod';
import { type Cabin, cabin } from './cabinFloor.js';
import type { DiscSource } from './contract.js';
import { type Boards, boards } from './layers.js';
import { oneBoard } from './oneBoard.js';
import { type Star, star } from './starFloor.js';
import { type Strips, strips } from './strips.js';

/** What a disc is sawn from, where it is more than one board. */
export type DiscSawnFrom = Boards | Star | Cabin | Strips;
type OneBoard = { readonly is: 'one-board' };

/** The only list of what discs are sawn from. */
const SOURCES = { layers: boards, star, cabin, strips, 'one-board': oneBoard } satisfies {
  [I in (DiscSawnFrom | OneBoard)['is']]: DiscSource<Extract<DiscSawnFrom | OneBoard, { is: I }>>;
};

export const discSourceSchema: z.ZodType<DiscSawnFrom> = z.discriminatedUnion(
  'is',
  [boards.params, star.params, cabin.params, strips.params] as never,
  {
    error: () =>
      `What a disc is sawn from is not known; it has to be one of ${Object.keys(SOURCES).slice(0, -1).join(', ')}, or left out for one board.`,
  },
);

/** What a disc is sawn from, of a sort, as it begins. */
export const discSourceBegun = <I extends DiscSawnFrom['is']>(is: I): Extract<DiscSawnFrom, { is: I }> =>
  SOURCES[is].begun as Extract<DiscSawnFrom, { is: I }>;

const ONE_BOARD: OneBoard = { is: 'one-board' };

/** The definition behind what a disc is sawn from, with its parameters; one board where nothing is said. */
export function discSourceOf(sawnFrom: DiscSawnFrom | undefined): {
  readonly source: DiscSource<DiscSawnFrom>;
  readonly of: DiscSawnFrom;
} {
  const of = (sawnFrom ?? ONE_BOARD) as DiscSawnFrom;
  return { source: SOURCES[of.is] as unknown as DiscSource<DiscSawnFrom>, of };
}
